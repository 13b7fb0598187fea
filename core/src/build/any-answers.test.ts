import fc from 'fast-check';
import { build } from '.';
import { analyse } from '../analyse';
import type { Rig } from '../rig';
import { anyAnswers, anyMains, cheaperSwaps, UNMETTABLE } from './answers-for-cases';
import { times } from '../runs-for-cases';

/** What presses in a rig and may not: everything but what is listed by name. */
const pressing = (rig: Rig): string[] =>
  analyse(rig)
    .findings.filter(({ level, code }) => level !== 'note' && !Object.hasOwn(UNMETTABLE, code))
    .map(({ code, says }) => `${code}: ${says}`);

describe('answers at random, over the whole range of every question', () => {
  it('make a rig with no stop and no warning but those listed, or there is a reason', () => {
    fc.assert(
      fc.property(fc.nat(1_000_000), (seed) => {
        const built = build(anyAnswers(seed), anyMains(seed));
        if (!built.ok) {
          expect(built.why).toMatch(/Let |leave |Choose |Switch |Use |more than /);
          return;
        }
        expect(pressing(built.rig)).toEqual([]);
        const still = analyse(built.rig).causes.filter(({ finding }) => finding.level !== 'note');
        for (const { finding } of still)
          expect(built.unmet.map(({ code }) => code)).toContain(finding.code);
      }),
      { numRuns: times(4) },
    );
  }, 120_000);
  it('cost what they must: no class can be swapped for a cheaper one', () => {
    fc.assert(
      fc.property(fc.nat(1_000_000), (seed) => {
        const built = build(anyAnswers(seed), anyMains(seed));
        if (built.ok) expect(cheaperSwaps(built.rig)).toEqual([]);
      }),
      { numRuns: times(2) },
    );
  }, 120_000);
});
