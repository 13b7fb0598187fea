import { analyse, type Analysis, reanalyse, type Rig } from '@echo-loom/core';
import { editedAtRandom } from '../../core/src/random-for-cases';
import { saidBy, sumsSaidBy } from '../../core/src/said-for-cases';
import { CATALOGUE, seeded } from '@echo-loom/core';
import { denseRig } from '../rigs';

/** A whole analysis of this rig takes its time, and so does writing out all it says. */
const EDITS = 8;
const SUMS = 20;

it(`says of a dense rig what a whole analysis says, over ${EDITS} random edits`, () => {
  const chance = seeded(5, CATALOGUE);
  let analysis: Analysis = analyse(denseRig());
  for (let n = 0; n < EDITS; n++) {
    const next: Rig = editedAtRandom(analysis.rig, chance);
    // Of a copy, so that nothing at all is shared with what was analysed before.
    const whole = analyse(structuredClone(next));
    analysis = reanalyse(analysis, next);
    // Compared as one, since a difference of two megabytes of text helps nobody.
    expect(saidBy(analysis) === saidBy(whole)).toBe(true);
    expect(sumsSaidBy(analysis, SUMS)).toBe(sumsSaidBy(whole, SUMS));
  }
});
