import { applyTracked, readRig, Refusal, sentence, type Command, type Rig } from '@echo-loom/core';
import { and, asc, desc, eq, gt, inArray, isNull, sql } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import type { SavedEntry, SaveAnswer, SaveRequest } from '@/features/rig/protocol';
import { database, type Database } from './database';
import { entries, rigs } from './schema';

/** Channel on which instances tell each other that a rig has changed; the payload is `rigId revision`. */
export const CHANNEL = 'rig_changed';

export interface ShelfRig {
  readonly id: string;
  readonly rig: Rig;
  readonly revision: number;
  readonly changedAt: Date;
}

/** A row's document, brought up to the present version. @throws Error naming the rig when the row cannot be read */
const documentOf = (id: string, document: unknown): Rig => {
  const read = readRig(document);
  if (read.ok) return read.rig;
  throw new Error(`rig ${id} in the database cannot be read: ${read.problems[0]?.path ?? ''} ${read.problems[0]?.says ?? ''}`);
};

export const listRigs = async (): Promise<ShelfRig[]> => {
  const rows = await database().select().from(rigs).where(isNull(rigs.deletedAt)).orderBy(desc(rigs.changedAt));
  return rows.map((row) => ({ id: row.id, rig: documentOf(row.id, row.document), revision: row.revision, changedAt: row.changedAt }));
};

export const findRig = async (id: string): Promise<ShelfRig | null> => {
  const [row] = await database().select().from(rigs).where(and(eq(rigs.id, id), isNull(rigs.deletedAt)));
  return row ? { id, rig: documentOf(id, row.document), revision: row.revision, changedAt: row.changedAt } : null;
};

/** Puts a rig on the shelf. @returns its id */
export const createRig = async (rig: Rig, id = nanoid(12)): Promise<string> => {
  await database().insert(rigs).values({ id, document: rig });
  return id;
};

/** Takes a rig off the shelf, or puts it back. @returns whether there was such a rig */
export const setDeleted = async (id: string, deleted: boolean): Promise<boolean> => {
  const rows = await database().update(rigs).set({ deletedAt: deleted ? new Date() : null }).where(eq(rigs.id, id)).returning({ id: rigs.id });
  return rows.length > 0;
};

const toSaved = (row: typeof entries.$inferSelect): SavedEntry => ({
  revision: row.revision, id: row.entryId, author: row.author, command: row.command, changes: row.changes, says: row.says, at: row.at.toISOString(),
});

/** Entries of a rig's log after a revision, oldest first. */
export const entriesAfter = async (id: string, revision: number, from: Pick<Database, 'select'> = database()): Promise<SavedEntry[]> => {
  const rows = await from.select().from(entries).where(and(eq(entries.rigId, id), gt(entries.revision, revision))).orderBy(asc(entries.revision));
  return rows.map(toSaved);
};

/**
 * Saves commands on top of a revision, all or none, in one transaction.
 * An entry that is in the log already (its answer was lost on the way) is not applied twice: the save counts as stale, and the entries missed
 * since, its own among them, go back.
 */
export const saveEntries = async (id: string, request: SaveRequest): Promise<SaveAnswer> =>
  database().transaction(async (tx): Promise<SaveAnswer> => {
    const [row] = await tx.select().from(rigs).where(eq(rigs.id, id)).for('update');
    if (!row || row.deletedAt) return { status: 'gone' };
    const known = await tx
      .select({ id: entries.entryId })
      .from(entries)
      .where(and(eq(entries.rigId, id), inArray(entries.entryId, request.entries.map((item) => item.id))));
    if (row.revision !== request.revision || known.length > 0) return { status: 'stale', missed: await entriesAfter(id, request.revision, tx) };
    let rig = documentOf(id, row.document);
    let { revision } = row;
    const rows: (typeof entries.$inferInsert)[] = [];
    for (const item of request.entries) {
      const applied = tryApply(rig, item.command);
      if (applied instanceof Refusal) return { status: 'refused', entryId: item.id, why: applied.message };
      rows.push({ rigId: id, revision: ++revision, entryId: item.id, author: item.author, command: item.command, changes: [...applied.changes], says: sentence(rig, item.command) });
      rig = applied.rig;
    }
    await tx.insert(entries).values(rows);
    await tx.update(rigs).set({ document: rig, revision, changedAt: new Date() }).where(eq(rigs.id, id));
    await tx.execute(sql`select pg_notify(${CHANNEL}, ${`${id} ${revision}`})`);
    return { status: 'saved', revision };
  });

const tryApply = (rig: Rig, command: Command): ReturnType<typeof applyTracked> | Refusal => {
  try {
    return applyTracked(rig, command);
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
};
