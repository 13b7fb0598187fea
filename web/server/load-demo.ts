import {
  allModelRefs,
  importRig,
  runEventSchema,
  runPlanSchema,
  thingsFromCsv,
} from '@echo-loom/core';
import { drizzle } from 'drizzle-orm/node-postgres';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { connectAlone } from './database';
import { migrateDatabase } from './migrate';
import { runEvents, runs, rigs, things } from './schema';

/**
 * Rigs of the demo, the last one loaded standing first on the shelf. Run by bin/demo; a rig that
 * was ever loaded is left as it is.
 */
const DEMO = ['harbour-hall', 'night-tide', 'second-firing'] as const;

/** Things of the demo; one that was ever on the list is left as it is. */
const loadThings = async (client: Awaited<ReturnType<typeof connectAlone>>): Promise<void> => {
  const text = await readFile(path.join(import.meta.dirname, '../../demo/things.csv'), 'utf8');
  const { lines, faults } = thingsFromCsv(text, allModelRefs([]));
  const [fault] = faults;
  if (fault) throw new Error(`demo/things.csv: ${fault.at}: ${fault.says}`);
  for (const { id, thing } of lines)
    if (id !== null)
      await drizzle(client).insert(things).values({ id, version: 1, thing }).onConflictDoNothing();
};

const demoRunsSchema = z.array(
  z.strictObject({
    id: z.string(),
    rigId: z.string(),
    plan: runPlanSchema,
    events: z.array(runEventSchema),
  }),
);

/** Runs of the demo; one that was ever loaded is left as it is. */
const loadRuns = async (client: Awaited<ReturnType<typeof connectAlone>>): Promise<void> => {
  const text = await readFile(path.join(import.meta.dirname, '../../demo/runs.json'), 'utf8');
  for (const { id, rigId, plan, events } of demoRunsSchema.parse(JSON.parse(text))) {
    const at = new Date(events[0]?.atMs ?? 0);
    const [made] = await drizzle(client)
      .insert(runs)
      .values({ id, rigId, plan, at, events: events.length })
      .onConflictDoNothing()
      .returning({ id: runs.id });
    if (!made) continue;
    await drizzle(client)
      .insert(runEvents)
      .values(
        events.map((event, index) => ({ runId: id, place: index + 1, eventId: event.id, event })),
      );
  }
};

const load = async (): Promise<void> => {
  await migrateDatabase(path.join(import.meta.dirname, 'migrations'));
  const client = await connectAlone();
  try {
    for (const name of DEMO) {
      const imported = importRig(
        await readFile(path.join(import.meta.dirname, '../../demo', `${name}.rig.json`)),
      );
      if (!imported.ok)
        throw new Error(
          `demo/${name}.rig.json: ${imported.problems.map(({ path: at, says }) => `${at}: ${says}`).join('; ')}`,
        );
      await drizzle(client)
        .insert(rigs)
        .values({ id: name, document: imported.rig })
        .onConflictDoNothing();
    }
    await loadThings(client);
    await loadRuns(client);
  } finally {
    await client.end();
  }
};

await load();
