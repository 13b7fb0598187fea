import { type Analysis, everyFinding, fixesOfCause, edited, type Verdict } from '../analyse';
import { type Fix, simpleOf } from '../edits/fix';
import { costOf } from '../passes/money';
import { Refusal, type SimpleCommand } from '../rig';
import { type Finding, findingKey } from '../rules';

/** A remedy that somebody has chosen, and the finding it was offered for. */
export interface Chosen {
  /** Of the first finding of its cause, as `findingKey` gives it */
  readonly key: string;
  readonly fix: Fix;
}

/** What has come of a chosen remedy among the others. */
export interface TakenStep {
  readonly key: string;
  readonly label: string;
  /**
   * Done as it was chosen; done another way, since the others left no room for it; not needed any more,
   * since another has mended it; or not possible with the others
   */
  readonly how: 'as chosen' | 'another way' | 'not needed' | 'not possible';
}

/** Several remedies as one edit, and what comes of them together. */
export interface Together {
  readonly steps: readonly TakenStep[];
  readonly commands: readonly SimpleCommand[];
  readonly after: Verdict;
  /** What was not there before */
  readonly brings: readonly Finding[];
  /** What is to be paid for all of them, in the studio's currency */
  readonly cost: number;
}

/** More commands than this no batch may hold. */
const MOST_COMMANDS = 500;

const tried = (analysis: Analysis, fix: Fix): Analysis | null => {
  try {
    return edited(analysis, fix.command);
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

/**
 * Chosen remedies, one after the other on what the last has left. What another has mended is left out, and
 * costs nothing; what the others leave no room for is mended by its next best remedy.
 */
export const together = (analysis: Analysis, chosen: readonly Chosen[]): Together => {
  const steps: TakenStep[] = [];
  const commands: SimpleCommand[] = [];
  let now = analysis;

  for (const { key, fix } of chosen) {
    const cause = now.causes.find(({ places }) => places.some((one) => findingKey(one) === key));
    if (!cause) {
      steps.push({ key, label: fix.label, how: 'not needed' });
      continue;
    }
    const others = () => fixesOfCause(now, cause).filter(({ isWorse }) => !isWorse);
    const first = tried(now, fix);
    const other = first ? undefined : others().find((one) => tried(now, one) !== null);
    const taken = first ? fix : other;
    const after = first ?? (other ? tried(now, other) : null);
    const more = taken ? simpleOf(taken) : [];
    if (!taken || !after || commands.length + more.length > MOST_COMMANDS) {
      steps.push({ key, label: fix.label, how: 'not possible' });
      continue;
    }
    steps.push({ key, label: taken.label, how: first ? 'as chosen' : 'another way' });
    commands.push(...more);
    now = after;
  }

  const before = new Set(everyFinding(analysis).map(findingKey));
  return {
    steps,
    commands,
    after: now.verdict,
    brings: now.findings.filter((finding) => !before.has(findingKey(finding))),
    cost:
      commands.length === 0
        ? 0
        : costOf(analysis.rig, { type: 'batch', label: 'Together', commands: [...commands] }),
  };
};
