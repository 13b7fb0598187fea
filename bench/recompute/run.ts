import { analyse, apply, reanalyse, Refusal, type Rig } from '@echo-loom/core';
import { harbourHall } from '../../demo/harbour-hall';
import { secondFiring } from '../../demo/second-firing';
import { withCore } from '../commits';
import { benchRig, denseRig } from '../rigs';
import { median, processorTime } from '../timing';
import { type EditKind, editsOf } from './edits';

/**
 * What a whole analysis costs and what an edit costs, of this tree and of an earlier commit, paired in one run by the
 * processor's time. `npm run recompute -- COMMIT`
 */

const RIGS: Readonly<Record<string, () => Rig>> = {
  'dense 500': denseRig,
  'sparse 500': () => benchRig(500),
  'Second Firing': secondFiring,
  'Harbour Hall': harbourHall,
};

/** Whoever is measured goes first in a block of so many rounds, and its first rounds do not count. */
const BLOCK = 10;
const WARM = 3;
const BLOCKS = 8;

/** Rounds of several works in blocks one after the other. @returns the median of each, ms */
const paired = (works: readonly ((n: number) => void)[]): number[] => {
  const times = works.map((): number[] => []);
  for (let block = 0; block < BLOCKS; block++)
    works.forEach((work, index) => {
      for (let n = 0; n < BLOCK; n++) {
        const ms = processorTime(() => work(block * BLOCK + n));
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

const share = (ratio: number): string => `${(100 * ratio).toFixed(0)} %`;

interface Engine {
  readonly analyse: typeof analyse;
  readonly reanalyse: typeof reanalyse;
}

/** An edit of each kind after another, each once by the one engine and once by the other. */
const kindOf = (
  rig: Rig,
  edit: ReturnType<typeof editsOf>[EditKind],
  engines: readonly Engine[],
) => {
  // Both work on the same rigs, one edit apart from each other, made beforehand.
  const rigs: Rig[] = [rig];
  for (let n = 0; n < BLOCK * BLOCKS; n++) rigs.push(after(rigs[n] ?? rig, edit(n)));
  if (rigs.every((one) => one === rig)) return null;
  const held = engines.map((engine) => engine.analyse(rig));
  return paired(
    engines.map((engine, index) => (n) => {
      const before = held[index];
      if (before) held[index] = engine.reanalyse(before, rigs[n + 1] ?? rig);
    }),
  );
};

const commit = process.argv[2] ?? 'fd7fe53';
const earlier = await withCore<Engine>('bench/recompute/engine.ts', commit);
const engines: readonly Engine[] = [earlier, { analyse, reanalyse }];

console.log(`Processor time, paired with ${commit} in one run.`);
for (const [name, make] of Object.entries(RIGS)) {
  const rig = make();
  const edits = editsOf(rig);
  const [before = NaN, now = NaN] = paired(
    engines.map((engine) => (n) => void engine.analyse(after(rig, edits.distance(n)))),
  );
  console.log(
    `${name}: a whole analysis ${now.toFixed(1)} ms, ${share(now / before)} of what it was`,
  );
  const ratios: number[] = [];
  for (const [kind, edit] of Object.entries(edits)) {
    const [was, is] = kindOf(rig, edit, engines) ?? [];
    if (was === undefined || is === undefined) continue;
    // An edit that changes nothing in this rig costs neither anything.
    if (was === 0) continue;
    ratios.push(is / was);
    console.log(
      `  after an edit of ${kind}: ${is.toFixed(1)} ms, ${share(is / was)} of what it was, ` +
        `${share(is / now)} of the whole`,
    );
  }
  console.log(`  in the middle over these edits: ${share(median(ratios))} of what it was`);
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
