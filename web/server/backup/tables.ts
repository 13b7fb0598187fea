import { getTableName } from 'drizzle-orm';
import { digests, entries, ownModels, rigs, runEvents, runs, studio, things } from '../schema';

/** Every table that a backup holds, each after those it refers to. A test fails when one of the schema is missing. */
export const TABLES: readonly string[] = [
  rigs,
  entries,
  studio,
  ownModels,
  things,
  runs,
  runEvents,
].map((table) => getTableName(table));

/** What is worked out anew after a backup is brought back. */
export const WORKED_OUT: readonly string[] = [getTableName(digests)];

/** Rows read at once: a rig's row can be large. */
export const rowsAtOnce = (table: string): number => (table === getTableName(rigs) ? 4 : 200);
