import { analyse, type Analysis, apply, reanalyse, Refusal, type Rig } from '@echo-loom/core';
import { harbourHall } from '../../demo/harbour-hall';
import { withCore } from '../commits';
import { benchRig, denseRig } from '../rigs';
import { clock, median } from '../timing';
import { type EditKind, editsOf } from './edits';

/**
 * What an edit costs, paired in one run: whole analyses of this tree and of an earlier commit, and
 * analyses of what an edit changed. `npm run recompute -- COMMIT`
 */

const RIGS: Readonly<Record<string, () => Rig>> = {
  'dense 500': denseRig,
  'sparse 500': () => benchRig(500),
  'Harbour Hall': harbourHall,
};

/** Whoever is measured goes first in a block of so many rounds, and its first rounds do not count. */
const BLOCK = 14;
const WARM = 4;
const BLOCKS = 12;

/** Rounds of several works in blocks one after the other. @returns the median of each, ms */
const paired = (works: readonly ((n: number) => void)[]): number[] => {
  const times = works.map((): number[] => []);
  for (let block = 0; block < BLOCKS; block++)
    works.forEach((work, index) => {
      for (let n = 0; n < BLOCK; n++) {
        const ms = clock(() => work(block * BLOCK + n));
        if (block > 1 && n >= WARM) times[index]?.push(ms);
      }
    });
  return times.map(median);
};

/** The rig after one edit more, and the same rig where the edit is refused. */
const after = (rig: Rig, command: ReturnType<ReturnType<typeof editsOf>[EditKind]>): Rig => {
  if (!command) return rig;
  try {
    return apply(rig, command);
  } catch (error) {
    if (error instanceof Refusal) return rig;
    throw error;
  }
};

const times = (ratio: number): string => `${ratio.toFixed(1)} ×`;

const commit = process.argv[2] ?? 'HEAD';
const earlier = await withCore<{ analyse: typeof analyse }>('bench/recompute/engine.ts', commit);

for (const [name, make] of Object.entries(RIGS)) {
  const rig = make();
  const edits = editsOf(rig);
  const [before = NaN, now = NaN] = paired([
    (n) => void earlier.analyse(after(rig, edits.distance(n))),
    (n) => void analyse(after(rig, edits.distance(n))),
  ]);
  console.log(
    `${name}: a whole analysis takes ${(now / before).toFixed(2)} of what it took at ${commit}`,
  );
  for (const [kind, edit] of Object.entries(edits)) {
    // Both work on the same rigs, one edit apart from each other, made beforehand.
    const rigs: Rig[] = [rig];
    for (let n = 0; n < BLOCK * BLOCKS; n++) rigs.push(after(rigs[n] ?? rig, edit(n)));
    if (rigs.every((one) => one === rig)) continue;
    let analysis: Analysis = analyse(rig);
    const [whole = NaN, changed = NaN] = paired([
      (n) => void analyse(rigs[n + 1] ?? rig),
      (n) => void (analysis = reanalyse(analysis, rigs[n + 1] ?? rig)),
    ]);
    console.log(`  after an edit of ${kind}: ${times(whole / changed)} cheaper than the whole`);
  }
}

const [hundred = NaN, twoThousand = NaN] = paired(
  [benchRig(100), benchRig(2000)].map((rig) => {
    const edit = editsOf(rig).distance;
    return (n: number) => void analyse(after(rig, edit(n)));
  }),
);
console.log(
  `growth from 100 to 2,000 devices: ${(twoThousand / hundred / 20).toFixed(2)} times linear`,
);
