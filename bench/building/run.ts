import { analyse, build } from '@echo-loom/core';
import {
  anyAnswers,
  anyMains,
  cheaperSwaps,
  UNMETTABLE,
} from '../../core/src/build/answers-for-cases';

/**
 * Builds rigs from answers at random, over the whole range of every question, and looks whether anything
 * presses that may not, and whether any class could be swapped for a cheaper one. Exits 1 where it does.
 * Arguments: how many rigs, and the first seed.
 */
const RIGS = Number(process.argv[2] ?? 200);
const FIRST = Number(process.argv[3] ?? 1);

const [told, refused] = [new Map<string, number>(), new Map<string, number>()];
const count = (into: Map<string, number>, key: string): void => {
  into.set(key, (into.get(key) ?? 0) + 1);
};
const times: number[] = [];
let [made, clean, faults] = [0, 0, 0];
for (let seed = FIRST; seed < FIRST + RIGS; seed++) {
  const start = performance.now();
  const built = build(anyAnswers(seed), anyMains(seed));
  times.push(performance.now() - start);
  if (!built.ok) {
    count(refused, built.why.replace(/\d+/g, 'n'));
    continue;
  }
  made++;
  const codes = new Set(
    analyse(built.rig).findings.flatMap(({ level, code }) => (level === 'note' ? [] : [code])),
  );
  if (codes.size === 0) clean++;
  for (const code of codes) {
    count(told, code);
    if (Object.hasOwn(UNMETTABLE, code)) continue;
    faults++;
    console.log(`${seed}: ${code} presses`);
  }
  for (const swap of cheaperSwaps(built.rig)) {
    faults++;
    console.log(`${seed}: ${swap} would be cheaper`);
  }
}
times.sort((a, b) => a - b);
const at = (share: number): string =>
  ((times[Math.floor(share * (times.length - 1))] ?? 0) / 1000).toFixed(1);
console.log(
  `${RIGS} answers: ${made} rigs, ${clean} without stop or warning, ${faults} faults; ` +
    `${at(0.5)} s each in the middle, ${at(0.95)} s at 95 %, ${at(1)} s at most`,
);
for (const [code, many] of told)
  console.log(`  ${many} rigs say ${code}: ${UNMETTABLE[code] ?? 'a fault'}`);
for (const [why, many] of refused) console.log(`  ${many} refused: ${why}`);
process.exitCode = faults > 0 ? 1 : 0;
