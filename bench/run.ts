import { analyse, type Rig } from '@echo-loom/core';
import { editToReading } from './browser';
import { benchRig, denseRig } from './rigs';

/** Prints how fast the engine is, beside what this machine makes of a plain loop. `npm run bench`; with TEST_DATABASE_URL also in the browser. */

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const timeMs = (work: () => void, rounds: number): number => {
  for (let n = 0; n < 5; n++) work();
  return median(Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }));
};

/** Ten million additions and square roots. */
const plainLoop = (): number => {
  let sum = 0;
  for (let n = 1; n <= 10_000_000; n++) sum += Math.sqrt(n);
  return sum;
};

const loopMs = timeMs(() => void plainLoop(), 15);
console.log(`yardstick: ten million square roots in ${loopMs.toFixed(1)} ms`);

const line = (name: string, rig: Rig, targetMs: number | null, rounds: number): number => {
  const ms = timeMs(() => void analyse(rig), rounds);
  const { traced } = analyse(rig);
  console.log(`${name}: ${Object.keys(rig.devices).length} devices, ${Object.keys(rig.links).length} links, ${traced.threads.length} threads, ${traced.stages.length} stages: ${ms.toFixed(2)} ms median, ${(ms / loopMs).toFixed(3)} yardsticks${targetMs === null ? '' : `, target ${targetMs} ms: ${ms <= targetMs ? 'met' : 'NOT MET'}`}`);
  return ms;
};

line('small', benchRig(50), 2, 101);
line('dense', denseRig(), 16, 41);
console.log('growth, against 100 devices:');
const hundred = line('  100', benchRig(100), null, 41);
for (const devices of [200, 500, 1000, 2000]) {
  const ms = line(`  ${devices}`, benchRig(devices), null, 15);
  console.log(`    ${devices / 100} times the devices take ${(ms / hundred).toFixed(1)} times as long`);
}
if (process.env['TEST_DATABASE_URL']) await editToReading(denseRig(), loopMs);
else console.log('edit to reading in the browser: set TEST_DATABASE_URL (bin/private-postgres start test) and build first');
