import { analyse, reanalyse } from './analyse';
import { CATALOGUE } from './catalogue';
import { editedAtRandom, randomRig, rigsToBeginFrom } from './random-for-cases';
import { type Rig, seeded } from './rig';
import { saidBy, sumsSaidBy } from './said-for-cases';

const EDITS = 200;
const SUMS = 20;

describe('reanalysing', () => {
  it(`says byte for byte what a whole analysis says, over ${EDITS} random edits`, () => {
    const starts = rigsToBeginFrom();
    const chance = seeded(11, CATALOGUE);
    let rig = starts[0];
    if (!rig) throw new Error('there is no rig to begin from');
    let analysis = analyse(rig);
    for (let n = 0; n < EDITS; n++) {
      // Every now and then another rig, edited at random before.
      if (n % 25 === 0) analysis = analyse((rig = randomRig(n, starts)));
      const next: Rig = editedAtRandom(analysis.rig, chance);
      // Of a copy, so that nothing at all is shared with what was analysed before.
      const whole = analyse(structuredClone(next));
      analysis = reanalyse(analysis, next);
      expect(saidBy(analysis)).toBe(saidBy(whole));
      expect(sumsSaidBy(analysis, SUMS)).toBe(sumsSaidBy(whole, SUMS));
    }
  });
});
