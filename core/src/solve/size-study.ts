import { type Analysis, reanalyse, type Verdict } from '../analyse';
import { atSize, type Size } from '../passes/picture/size';
import { apply, type SimpleCommand } from '../rig';
import { type Finding, findingKey, hasToDoWith } from '../rules';

/** A whole rig taken to a size: the edits, and what then breaks that did not before. */
export interface SizeStudy {
  readonly size: Size;
  readonly commands: readonly SimpleCommand[];
  readonly breaks: readonly Finding[];
  readonly after: Verdict;
}

/** Tries a size throughout. @returns null where the rig stands at it already */
export const studySize = (analysis: Analysis, size: Size): SizeStudy | null => {
  const commands = atSize(analysis.rig, size);
  if (commands.length === 0) return null;
  const after = reanalyse(
    analysis,
    apply(analysis.rig, { type: 'batch', label: `Everything at ${size}p`, commands }),
  );
  const key = (finding: Finding) => `${finding.level} ${findingKey(finding)}`;
  const before = new Set(analysis.findings.map(key));
  return {
    size,
    commands,
    after: after.verdict,
    breaks: after.findings.filter(
      (finding) => hasToDoWith(finding, 'size') && !before.has(key(finding)),
    ),
  };
};
