import { ruleByCode } from '.';
import type { Finding } from './rule';

/** One cause, and every finding it shows in: twelve inputs with the same fault are one thing to mend. */
export interface Cause {
  /** What it is called: the finding's own title, or what they are together */
  readonly title: string;
  /** The first of them, in the order of the rig */
  readonly finding: Finding;
  /** All of them, the first included */
  readonly places: readonly Finding[];
}

/**
 * Findings put together by cause: those of a rule that says how they are called together, and those of
 * the same rule, level and title. The order stays that of the first of each.
 * @source handbook 2-sound: one cause, one finding
 */
export const causesOf = (findings: readonly Finding[]): readonly Cause[] => {
  const byCause = new Map<string, Finding[]>();
  for (const finding of findings) {
    const { code, level, title } = finding;
    const key = `${code}|${level}|${ruleByCode.get(code)?.together ? '' : title}`;
    const known = byCause.get(key);
    if (known) known.push(finding);
    else byCause.set(key, [finding]);
  }
  return [...byCause.values()].flatMap((places) => {
    const [finding] = places;
    if (!finding) return [];
    const together = ruleByCode.get(finding.code)?.together;
    return [
      {
        title:
          places.length === 1
            ? finding.title
            : (together?.(places.length) ?? `${finding.title}, in ${places.length} places`),
        finding,
        places,
      },
    ];
  });
};
