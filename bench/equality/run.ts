import { analyse, CATALOGUE, reanalyse, seeded } from '@echo-loom/core';
import { editedAtRandom, randomRig, rigsToBeginFrom } from '../../core/src/random-for-cases';
import { saidBy, sumsSaidBy } from '../../core/src/said-for-cases';

/**
 * Whether an analysis of what an edit changed says, byte for byte, what a whole one says: over
 * random edits of random rigs. `npm run equality -- [EDITS] [SEED]`
 */

const [edits = 2000, seed = 1] = process.argv.slice(2).map(Number);
const SUMS = 20;
/** So many edits in a row, each reanalysed from the one before, on one rig. */
const IN_A_ROW = 25;

const starts = rigsToBeginFrom();
const chance = seeded(seed, CATALOGUE);
const [first] = starts;
if (!first) throw new Error('there is no rig to begin from');
let analysis = analyse(first);
let changed = 0;
for (let n = 0; n < edits; n++) {
  if (n % IN_A_ROW === 0) analysis = analyse(randomRig(seed * 1000 + n, starts));
  const next = editedAtRandom(analysis.rig, chance);
  if (next !== analysis.rig) changed++;
  // Of a copy, so that nothing at all is shared with what was analysed before.
  const whole = analyse(structuredClone(next));
  analysis = reanalyse(analysis, next);
  const [said, wanted] = [saidBy(analysis), saidBy(whole)];
  if (said === wanted && sumsSaidBy(analysis, SUMS) === sumsSaidBy(whole, SUMS)) continue;
  const at = [...said].findIndex((letter, index) => letter !== wanted[index]);
  console.error(`edit ${n} of seed ${seed}: "${said.slice(Math.max(0, at - 200), at + 100)}"`);
  console.error(`a whole analysis says: "${wanted.slice(Math.max(0, at - 100), at + 100)}"`);
  process.exit(1);
}
console.log(
  `${edits} random edits, ${changed} of them changes: every analysis equal to a whole one`,
);
