import { rigToJson, thingsToCsv } from '@echo-loom/core';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { DEMO_RIGS } from './rigs';
import { demoRuns } from './runs';
import { DEMO_THINGS } from './things';

for (const [name, make] of Object.entries(DEMO_RIGS))
  writeFileSync(path.join(import.meta.dirname, `${name}.rig.json`), rigToJson(make()));
writeFileSync(path.join(import.meta.dirname, 'things.csv'), thingsToCsv(DEMO_THINGS));
writeFileSync(
  path.join(import.meta.dirname, 'runs.json'),
  `${JSON.stringify(demoRuns(), null, 1)}\n`,
);
