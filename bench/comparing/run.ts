import { analyse, classById, compareIn, importRig } from '@echo-loom/core';
import { readFileSync } from 'node:fs';
import { clock, median, ORDINARY_LOOP_MS, plainLoop } from '../timing';

/**
 * Four interfaces side by side in Second Firing, in yardsticks: the same loop of arithmetic run before and after
 * each. Exits 1 beyond 300 ms on an ordinary machine.
 */
const LIMIT_MS = 300;
const RUNS = 15;
const MODELS = ['interface-2', 'interface-4', 'interface-8', 'interface-4-card'].map(classById);

const yardstick = (): number => clock(() => void plainLoop());

const imported = importRig(readFileSync('demo/second-firing.rig.json'));
if (!imported.ok) throw new Error('the demo cannot be read');
const analysis = analyse(imported.rig);
const ratios: number[] = [];
let tried = 0;
for (let run = 0; run < RUNS; run++) {
  const before = yardstick();
  const took = clock(() => {
    tried = compareIn(analysis, 'interface', MODELS).length;
  });
  ratios.push(took / ((before + yardstick()) / 2));
}
const ordinaryMs = ORDINARY_LOOP_MS * median(ratios);
console.log(
  `${tried} interfaces in Second Firing: ${median(ratios).toFixed(1)} yardsticks, ${ordinaryMs.toFixed(0)} ms on ` +
    `an ordinary machine, ${LIMIT_MS} allowed.`,
);
process.exitCode = ordinaryMs > LIMIT_MS ? 1 : 0;
