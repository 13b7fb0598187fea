import { align, held } from '@echo-loom/core/signal';
import { clapPair, RATE_HZ, type Truth } from '../../core/src/signal/truth-for-cases';

/**
 * Claps with known truth: how many are called sure, how far those are off, and how many unrelated ones
 * are called sure. Counts, not times. `npm run measuring [pairs] [unrelated]`
 */

const [pairs = 500, unrelated = 200] = process.argv.slice(2).map(Number);
const HARD: Truth = { claps: 2, snrDb: 10, rt60S: 0.5 };

const found = async (seed: number, truth: Truth) => {
  const { a, b, offsetMs } = clapPair(seed, truth);
  const alignment = await align(held(a, RATE_HZ), held(b, RATE_HZ));
  return { ...alignment, offMs: Math.abs(alignment.offsetMs - offsetMs) };
};

let [sure, wrong, worstMs] = [0, 0, 0];
for (let seed = 1001; seed <= 1000 + pairs; seed++) {
  const { isSure, offMs } = await found(seed, HARD);
  if (!isSure) continue;
  sure += 1;
  if (offMs > 0.1) wrong += 1;
  worstMs = Math.max(worstMs, offMs);
}
console.log(
  `${pairs} pairs at ${HARD.snrDb} dB in an echo of ${HARD.rt60S} s: ${sure} sure ` +
    `(${((100 * sure) / pairs).toFixed(1)} %), ${wrong} of them off by more than 0.1 ms, ` +
    `the worst ${worstMs.toFixed(3)} ms`,
);

let called = 0;
for (let seed = 7001; seed <= 7000 + unrelated; seed++)
  if ((await found(seed, { ...HARD, isUnrelated: true })).isSure) called += 1;
console.log(`${unrelated} unrelated pairs: ${called} called sure`);
