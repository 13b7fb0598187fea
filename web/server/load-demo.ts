import { allModelRefs, importRig, thingsFromCsv } from '@echo-loom/core';
import { drizzle } from 'drizzle-orm/node-postgres';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { connectAlone } from './database';
import { migrateDatabase } from './migrate';
import { rigs, things } from './schema';

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
  } finally {
    await client.end();
  }
};

await load();
