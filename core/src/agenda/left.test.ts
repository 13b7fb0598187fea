import fc from 'fast-check';
import { blankRig, type Rig } from '../rig';
import { leftByMonth, type RigLeaves } from './left';

const leaves = (
  gbPerShow: number,
  keepMonths: number | null,
  ...days: readonly string[]
): RigLeaves => {
  const rig = blankRig('Case');
  return {
    gbPerShow,
    rig: {
      shows: Object.fromEntries(
        days.map((on, order) => [`show-${order}`, { name: 'Show', on, order }]),
      ) as Rig['shows'],
      fileRules: { ...rig.fileRules, keepMonths },
    },
  };
};

describe('what shows leave, by month', () => {
  it('adds up all rigs, and lets go of what is kept no longer', () =>
    expect(
      leftByMonth([
        leaves(100, 2, '2026-11-05', '2026-11-12', '2026-12-03'),
        leaves(8, null, '2026-12-24', '2027-02-01'),
      ]),
    ).toEqual([
      { month: '2026-11', shows: 2, gb: 200, keptGb: 200 },
      { month: '2026-12', shows: 2, gb: 108, keptGb: 308 },
      // The two of November are gone at the end of January.
      { month: '2027-01', shows: 0, gb: 0, keptGb: 108 },
      { month: '2027-02', shows: 1, gb: 8, keptGb: 16 },
    ]));
  it('is nothing without shows, and ends after five years', () => {
    expect(leftByMonth([leaves(100, 1)])).toEqual([]);
    const far = leftByMonth([leaves(1, null, '2026-12-31', '2099-01-01')]);
    expect([far.length, far[0]?.month, far.at(-1)?.month]).toEqual([60, '2026-12', '2031-11']);
  });
  it('never holds more than was recorded, and all of it where it is kept for ever', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 1, maxLength: 30 }),
        fc.option(fc.integer({ min: 1, max: 12 })),
        (months, keepMonths) => {
          const days = months.map(
            (at) => `${2026 + Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}-15`,
          );
          let recorded = 0;
          for (const { gb, keptGb } of leftByMonth([leaves(3, keepMonths, ...days)])) {
            recorded += gb;
            if (keepMonths === null) expect(keptGb).toBe(recorded);
            else expect(keptGb).toBeLessThanOrEqual(recorded);
            expect(keptGb).toBeGreaterThanOrEqual(gb);
          }
          expect(recorded).toBe(3 * days.length);
        },
      ),
    ));
});
