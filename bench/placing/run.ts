import { analyse, apply, BEGINNINGS, placeAll } from '@echo-loom/core';
import { roomed } from '../../core/src/solve/placing/briefs-for-cases';

/**
 * Places briefs at random in every room to begin with and lets the rules judge what comes of it.
 * Exits 1 where a placing leaves a stop that was not there before.
 */
const BRIEFS = Number(process.argv[2] ?? 30);

let stops = 0;
for (const room of BEGINNINGS) {
  const found = { stop: 0, warn: 0, note: 0 };
  const codes = new Map<string, number>();
  const start = performance.now();
  for (let seed = 1; seed <= BRIEFS; seed++) {
    const rig = roomed(seed, room);
    const placing = placeAll(analyse(rig));
    if (!placing) throw new Error(`brief ${seed} was not placed in ${room.name}`);
    const after = analyse(
      apply(rig, { type: 'batch', label: 'Placed.', commands: [...placing.commands] }),
    );
    for (const { area, code, level } of after.findings) {
      if (area !== 'place' && area !== 'stands') continue;
      found[level]++;
      codes.set(code, (codes.get(code) ?? 0) + 1);
    }
  }
  stops += found.stop;
  const each = (performance.now() - start) / BRIEFS;
  console.log(
    `${room.name}: ${BRIEFS} briefs, ${found.stop} stops, ${found.warn} warnings, ${found.note} ` +
      `notes, ${each.toFixed(0)} ms each; ${[...codes].map(([code, many]) => `${code} ${many}`).join(', ')}`,
  );
}
process.exitCode = stops > 0 ? 1 : 0;
