import { analyse, type Analysis, fixesOf, sumsOf } from '../analyse';
import { predict } from '../predict/predict';
import type { Rig } from '../rig';
import { ruleByCode } from './index';
import type { Finding, Level } from './rule';

/** A rig in which a rule must find something. */
export interface InvalidCase {
  readonly rig: Rig;
  readonly level: Level;
  /** How often it is found; once unless said */
  readonly times?: number;
  /** Words the finding must say */
  readonly says?: RegExp;
  /** Labels of the fixes, in their order; each must apply and cure */
  readonly fixes?: readonly (string | RegExp)[];
  /** The result of one of its sums */
  readonly sum?: number;
}

const found = (analysis: Analysis, code: string): Finding[] =>
  analysis.findings.filter((finding) => finding.code === code);

/**
 * Runs a rule against rigs in which it must stay silent and rigs in which it must speak; names read
 * as sentences about the domain.
 */
export const ruleCases = (
  code: string,
  cases: {
    readonly valid: Readonly<Record<string, Rig>>;
    readonly invalid: Readonly<Record<string, InvalidCase>>;
  },
): void => {
  describe(code, () => {
    it('is a rule', () => expect(ruleByCode.get(code)?.code).toBe(code));
    it.each(Object.entries(cases.valid))('is silent: %s', (_name, rig) =>
      expect(found(analyse(rig), code)).toEqual([]),
    );
    it.each(Object.entries(cases.invalid))(
      'speaks: %s',
      (_name, { rig, level, times = 1, says, fixes, sum }) => {
        const analysis = analyse(rig);
        const findings = found(analysis, code);
        expect(findings.map((finding) => finding.level)).toEqual(
          Array.from({ length: times }, () => level),
        );
        const [finding] = findings;
        if (!finding) throw new Error('nothing was found');
        if (says) expect(finding.says).toMatch(says);
        if (sum !== undefined)
          expect(
            sumsOf(analysis, finding).map(({ result }) => Number((result ?? NaN).toFixed(3))),
          ).toContain(sum);
        const offered = fixesOf(analysis, finding);
        if (fixes) {
          expect(offered).toHaveLength(fixes.length);
          fixes.forEach((label, index) => expect(offered[index]?.label).toMatch(label));
        }
        for (const fix of offered)
          expect([fix.label, predict(analysis, finding, fix).cures]).toEqual([fix.label, true]);
      },
    );
  });
};
