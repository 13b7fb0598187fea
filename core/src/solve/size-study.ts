import { type Analysis, analyse, reanalyse, type Verdict } from '../analyse';
import { atSize, type Size, tooSmall } from '../passes/picture/size';
import { apply, type SimpleCommand } from '../rig';
import { type Finding, findingKey, hasToDoWith } from '../rules';
import { formatName } from '../units';
import { lifted } from './lifted';

/** A whole rig taken to a size: the edits, and what then breaks that did not before, along the whole chain. */
export interface SizeStudy {
  readonly size: Size;
  readonly commands: readonly SimpleCommand[];
  readonly breaks: readonly Finding[];
  /** What makes a picture and has no format of the size, in words, where no finding says so */
  readonly makesLess: readonly string[];
  /** What would break next, once all of that is mended: it is hidden as long as nothing gets so far */
  readonly behind: readonly Finding[];
  readonly after: Verdict;
}

/** So often narrow places are thought away; a chain of more in a row is not met. */
const MOST_ROUNDS = 8;

const keyOf = (finding: Finding): string => `${finding.level} ${findingKey(finding)}`;

/** Findings of another analysis that have to do with size and are not known yet. */
const fresh = (analysis: Analysis, known: ReadonlySet<string>): Finding[] =>
  analysis.findings.filter((finding) => hasToDoWith(finding, 'size') && !known.has(keyOf(finding)));

/** Tries a size throughout. @returns null where the rig stands at it already */
export const studySize = (analysis: Analysis, size: Size): SizeStudy | null => {
  const commands = atSize(analysis.rig, size);
  if (commands.length === 0) return null;
  const after = reanalyse(
    analysis,
    apply(analysis.rig, { type: 'batch', label: `Everything at ${size}p`, commands }),
  );
  const known = new Set(analysis.findings.map(keyOf));
  const breaks = fresh(after, known);
  for (const finding of breaks) known.add(keyOf(finding));
  const told = new Set(
    breaks.flatMap(({ code, about }) => (code === 'brief.capture-size' ? [about.deviceId] : [])),
  );
  const makesLess = new Set(
    tooSmall(after.rig, size)
      .filter(({ deviceId }) => !told.has(deviceId))
      .map(
        ({ deviceId, present }) =>
          `${after.device({ id: deviceId }).name} makes ${formatName(present)} and has nothing of ${size} lines.`,
      ),
  );
  const behind: Finding[] = [];
  let now = after;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const rig = lifted(now, size);
    if (!rig) break;
    now = analyse(rig);
    const more = fresh(now, known);
    for (const finding of more) known.add(keyOf(finding));
    behind.push(...more);
  }
  return { size, commands, after: after.verdict, breaks, makesLess: [...makesLess], behind };
};
