import { remedies } from '../../edits/remedies';
import { coverage } from '../../passes/coverage';
import type { CoverageLine, Need } from '../../passes/coverage/line';
import type { HouseRules, Rig } from '../../rig';
import type { Level, Rule } from '../rule';

interface Draft extends Pick<
  Rule,
  'code' | 'looksFor' | 'why' | 'remedy' | 'matters' | 'together'
> {
  readonly need: Need;
  /** How bad a line is; null where it is not this rule's */
  readonly level: (line: CoverageLine, rig: Rig) => Level | null;
  readonly title: (line: CoverageLine) => string;
  /** What to do, as the last sentence; what is in doubt is asked */
  readonly advice: string | ((line: CoverageLine) => string);
  readonly houseRule?: keyof HouseRules;
}

/** A rule that speaks for each line of the coverage that is not met. */
export const coverageRule = ({
  code,
  need,
  level,
  title,
  advice,
  houseRule,
  ...texts
}: Draft): Rule => ({
  code,
  area: 'brief',
  ...texts,
  source: 'handbook 1-the-work: brief',
  find: (measured) =>
    coverage(measured).flatMap((line) => {
      const found = line.need === need && line.verdict !== 'met' ? level(line, measured.rig) : null;
      if (found === null) return [];
      const deviceId = line.by[0];
      return [
        {
          code,
          area: 'brief',
          level: found,
          about: {
            kind: 'coverage line',
            line: line.id,
            ...(deviceId === undefined ? {} : { deviceId }),
          },
          title: title(line),
          says: `${line.subject.name}: ${line.says} ${typeof advice === 'string' ? advice : advice(line)}`,
          ...(houseRule ? { houseRule } : {}),
        },
      ];
    }),
  fixes: (measured, { about }) => {
    const line = coverage(measured).find(({ id }) => id === about.line);
    return line ? remedies(measured, line) : [];
  },
});

/** Whether what a line asks for is in the rig and only gets nowhere. */
export const isThere = ({ there = [] }: CoverageLine): boolean => there.length > 0;
