import { type Analysis, fixesOfCause, edited, type Verdict } from '../analyse';
import { type Fix, simpleOf } from '../edits/fix';
import type { SimpleCommand } from '../rig';
import { findingKey } from '../rules';
import { isFree } from './free';

/** One remedy among those that cost nothing. */
export interface FreeStep {
  /** Of the finding it cures, as `findingKey` gives it; by it the step can be left out */
  readonly key: string;
  readonly label: string;
  /** Of the finding it cures */
  readonly title: string;
  readonly commands: readonly SimpleCommand[];
}

/** Everything that helps and costs nothing, one after the other, and what comes of it. */
export interface AllFree {
  readonly steps: readonly FreeStep[];
  /** The verdict once all of them are taken */
  readonly after: Verdict;
}

/** More commands than this no batch may hold; the rest is left for another time. */
const MOST_COMMANDS = 500;

/**
 * The remedies that cost nothing and make nothing worse, each tried on what the last has left, the worst
 * findings first. What is offered for want of a better is left for somebody to decide.
 * @param leaveOut keys of findings that are not to be mended here
 * @param onProgress how many have been found, of how many findings there are
 */
export const allFree = (
  analysis: Analysis,
  leaveOut: readonly string[] = [],
  onProgress?: (found: number, of: number) => void,
): AllFree => {
  const steps: FreeStep[] = [];
  let now = analysis;
  let count = 0;
  // What had nothing free is asked again only when nothing else has: an edit seldom changes that.
  const hopeless = new Set<string>();
  const next = (): (FreeStep & { readonly fix: Fix }) | null => {
    for (const cause of now.causes) {
      const key = findingKey(cause.finding);
      if (leaveOut.includes(key) || hopeless.has(key)) continue;
      const fix = fixesOfCause(now, cause).find(
        (one) => !one.isWorse && !one.isLast && isFree(now.rig, one),
      );
      const commands = fix ? simpleOf(fix) : [];
      if (fix && commands.length > 0 && count + commands.length <= MOST_COMMANDS)
        return { fix, key, label: fix.label, title: cause.title, commands };
      hopeless.add(key);
    }
    return null;
  };
  const again = (): ReturnType<typeof next> => {
    hopeless.clear();
    return next();
  };
  for (let step = next() ?? again(); step; step = next() ?? again()) {
    const { fix, ...kept } = step;
    steps.push(kept);
    count += kept.commands.length;
    now = edited(now, fix.command);
    onProgress?.(steps.length, analysis.causes.length);
  }
  return { steps, after: now.verdict };
};
