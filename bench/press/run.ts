import { analyse, findingKey, fixesOf, reanalyse, apply } from '@echo-loom/core';
import { pressAll } from '../../core/src/press-for-cases';
import { randomRig, rigsToBeginFrom } from '../../core/src/random-for-cases';

/**
 * `npm run press -- [RIGS] [FIRST SEED]`: takes the best remedy of the first finding that has one, again and
 * again, on random rigs, and applies every remedy that is offered on them. Exits 1 where one goes in a
 * circle, brings more stops than there were, or does not cure what it is offered for.
 */
const RIGS = Number(process.argv[2] ?? 200);
const FIRST = Number(process.argv[3] ?? 1);

const starts = rigsToBeginFrom();
const left = new Map<string, number>();
const count = { rigs: 0, presses: 0, circles: 0, worse: 0, withStops: 0, offered: 0, uncured: 0 };
const start = performance.now();
for (let seed = FIRST; seed < FIRST + RIGS; seed++) {
  const rig = randomRig(seed, starts);
  const analysis = analyse(rig);
  for (const finding of analysis.findings)
    for (const { label, command } of fixesOf(analysis, finding)) {
      count.offered++;
      const after = reanalyse(analysis, apply(rig, command));
      if (after.findings.some((other) => findingKey(other) === findingKey(finding))) {
        count.uncured++;
        console.log(`rig ${seed}: “${label}” does not cure ${finding.code}`);
      }
    }
  const { presses, isCircle, worse, after } = pressAll(rig);
  count.rigs++;
  count.presses += presses.length;
  if (isCircle) count.circles++;
  if (worse.length > 0) count.worse++;
  if (isCircle || worse.length > 0) console.log(`rig ${seed}: ${presses.slice(-4).join(' / ')}`);
  const stops = after.findings.filter(({ level }) => level === 'stop');
  if (stops.length > 0) count.withStops++;
  for (const { code } of stops) left.set(code, (left.get(code) ?? 0) + 1);
}
console.log(count, `${((performance.now() - start) / 1000).toFixed(0)} s`);
console.log('Stops that nothing on offer cures:');
for (const [code, times] of [...left].sort((a, b) => b[1] - a[1]))
  console.log(`  ${times} ${code}`);
process.exitCode = count.circles + count.worse + count.uncured > 0 ? 1 : 0;
