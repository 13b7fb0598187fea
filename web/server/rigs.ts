import { rigIdSchema, type SavedEntry, type Stand } from '@/session/protocol';
import {
  type Command,
  commandSchema,
  type Imported,
  readRig,
  type Rig,
  RIG_VERSION,
} from '@echo-loom/core';
import { and, asc, desc, eq, gt, gte, inArray, isNotNull, isNull, lt, lte, sql } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import { CHANNEL, type Notice } from './channel';
import { database, type Database } from './database';
import { entries, rigs } from './schema';

/** A rig on the shelf: what its document reads as, or why it cannot be read. */
export interface ShelfRig {
  readonly id: string;
  readonly read: Imported;
  readonly revision: number;
  readonly changedAt: Date;
}

/** A rig that can be opened. */
export interface OpenRig {
  readonly id: string;
  readonly rig: Rig;
  readonly revision: number;
}

/** How long a rig that was taken off the shelf can be put back. @unit days */
export const KEPT_DAYS = 30;

/**
 * Ids come from addresses, where anything can stand: what cannot be an id is no rig, and never
 * reaches the database.
 */
const isId = (id: string): boolean => rigIdSchema.safeParse(id).success;

const columns = {
  id: rigs.id,
  document: rigs.document,
  revision: rigs.revision,
  changedAt: rigs.changedAt,
};

export const listRigs = async (): Promise<ShelfRig[]> => {
  const rows = await database()
    .select(columns)
    .from(rigs)
    .where(isNull(rigs.deletedAt))
    .orderBy(desc(rigs.changedAt), asc(rigs.id));
  return rows.map(({ document, ...row }) => ({ ...row, read: readRig(document) }));
};

/** A rig of the shelf, readable or not; null where there is none. */
export const findRig = async (id: string): Promise<ShelfRig | null> => {
  if (!isId(id)) return null;
  const [row] = await database()
    .select(columns)
    .from(rigs)
    .where(and(eq(rigs.id, id), isNull(rigs.deletedAt)));
  if (!row) return null;
  const { document, ...rest } = row;
  return { ...rest, read: readRig(document) };
};

/** The document of a rig to the byte, readable or not. */
export const findRaw = async (id: string): Promise<string | null> => {
  if (!isId(id)) return null;
  const [row] = await database()
    .select({ text: sql<string>`${rigs.document}::text` })
    .from(rigs)
    .where(eq(rigs.id, id));
  return row?.text ?? null;
};

/** Whether a rig stands on the shelf, without reading it. */
export const isOnShelf = async (id: string): Promise<boolean> => {
  if (!isId(id)) return false;
  const rows = await database()
    .select({ id: rigs.id })
    .from(rigs)
    .where(and(eq(rigs.id, id), isNull(rigs.deletedAt)));
  return rows.length > 0;
};

/** Whether there is such a rig, on the shelf or put away. */
export const isKept = async (id: string): Promise<boolean> => {
  if (!isId(id)) return false;
  const rows = await database().select({ id: rigs.id }).from(rigs).where(eq(rigs.id, id));
  return rows.length > 0;
};

/** Puts a rig on the shelf. @returns its id */
export const createRig = async (rig: Rig, id = nanoid(12)): Promise<string> => {
  await database().insert(rigs).values({ id, document: rig });
  return id;
};

/** As `createRig`, from a document that is JSON text already. @param document written by `JSON.stringify` */
export const createRigFromText = async (document: string): Promise<string> => {
  const id = nanoid(12);
  await database()
    .insert(rigs)
    .values({ id, document: sql`${document}::json` });
  return id;
};

/**
 * Takes a rig off the shelf, or puts it back, and tells the pages that have it open. @returns
 * whether there was such a rig
 */
export const setDeleted = async (id: string, deleted: boolean): Promise<boolean> => {
  if (!isId(id)) return false;
  return database().transaction(async (tx) => {
    const isThere = deleted ? isNull(rigs.deletedAt) : isNotNull(rigs.deletedAt);
    const deletedAt = deleted ? new Date() : null;
    const rows = await tx
      .update(rigs)
      .set({ deletedAt })
      .where(and(eq(rigs.id, id), isThere))
      .returning({ id: rigs.id });
    const notice: Notice = { rigId: id, saved: null };
    await tx.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(notice)})`);
    return rows.length > 0;
  });
};

const oldest = () => new Date(Date.now() - KEPT_DAYS * 24 * 60 * 60 * 1000);

/** Rigs that were taken off the shelf and can be put back, the latest first. */
export const listPutAway = async (): Promise<(ShelfRig & { readonly deletedAt: Date })[]> => {
  const rows = await database()
    .select({ ...columns, deletedAt: rigs.deletedAt })
    .from(rigs)
    .where(and(isNotNull(rigs.deletedAt), gte(rigs.deletedAt, oldest())))
    .orderBy(desc(rigs.deletedAt));
  return rows.flatMap(({ document, deletedAt, ...row }) =>
    deletedAt ? [{ ...row, deletedAt, read: readRig(document) }] : [],
  );
};

/** How many can be put back. */
export const countPutAway = (): Promise<number> =>
  database().$count(rigs, and(isNotNull(rigs.deletedAt), gte(rigs.deletedAt, oldest())));

/** Deletes for good what was taken off the shelf longer ago than that. @returns how many rigs */
export const forgetPutAway = async (): Promise<number> => {
  const rows = await database()
    .delete(rigs)
    .where(lt(rigs.deletedAt, oldest()))
    .returning({ id: rigs.id });
  return rows.length;
};

/** A command of an earlier version that reads as one of the present, or nothing. */
const readable = (command: unknown): Command | null =>
  commandSchema.safeParse(command).data ?? null;

export const toSaved = (row: typeof entries.$inferSelect): SavedEntry => ({
  revision: row.revision,
  id: row.entryId,
  author: row.author,
  version: row.version ?? 0,
  command: row.version === RIG_VERSION ? row.command : readable(row.command),
  changes: row.changes,
  says: row.says,
  at: row.at.toISOString(),
});

/** Entries of a rig's log after a revision, oldest first. */
export const entriesAfter = async (
  id: string,
  revision: number,
  from: Pick<Database, 'select'> = database(),
): Promise<SavedEntry[]> => {
  const rows = await from
    .select()
    .from(entries)
    .where(and(eq(entries.rigId, id), gt(entries.revision, revision)))
    .orderBy(asc(entries.revision));
  return rows.map(toSaved);
};

/** Entries a page of the log holds: what is read of it when a rig is opened, and at a time after that. */
export const LOG_PAGE = 200;

/** The newest entries of a log up to a revision, that one among them, oldest first. */
export const pageOfLog = async (
  id: string,
  upTo: number,
  from: Pick<Database, 'select'> = database(),
): Promise<SavedEntry[]> => {
  const rows = await from
    .select()
    .from(entries)
    .where(and(eq(entries.rigId, id), lte(entries.revision, upTo)))
    .orderBy(desc(entries.revision))
    .limit(LOG_PAGE);
  return rows.reverse().map(toSaved);
};

/** Which of some places in a log are as whoever stands there knows them: then they know the same log. */
export const areInLog = async (
  id: string,
  stands: readonly Stand[],
  from: Pick<Database, 'select'> = database(),
): Promise<boolean[]> => {
  const revisions = [...new Set(stands.map(({ revision }) => revision))];
  const rows = await from
    .select({ revision: entries.revision, entryId: entries.entryId })
    .from(entries)
    .where(and(eq(entries.rigId, id), inArray(entries.revision, revisions)));
  const known = new Map(rows.map(({ revision, entryId }) => [revision, entryId]));
  return stands.map(
    ({ revision, entryId }) => (revision === 0 ? null : known.get(revision)) === entryId,
  );
};

/** As `areInLog`, for one. */
export const isInLog = async (id: string, stand: Stand): Promise<boolean> =>
  (await areInLog(id, [stand]))[0] ?? false;

/** Where a rig's log stands now; null where there is no such rig on the shelf. */
export const standOf = async (id: string): Promise<Stand | null> => {
  if (!isId(id)) return null;
  const isLast = and(eq(entries.rigId, rigs.id), eq(entries.revision, rigs.revision));
  const [row] = await database()
    .select({ revision: rigs.revision, entryId: entries.entryId })
    .from(rigs)
    .leftJoin(entries, isLast)
    .where(and(eq(rigs.id, id), isNull(rigs.deletedAt)));
  return row ?? null;
};

/** A rig with the newest page of its log, as one that is opened gets it; null where there is none that can be read. */
export const openRig = async (
  id: string,
): Promise<(OpenRig & { readonly entries: SavedEntry[] }) | null> => {
  const found = await findRig(id);
  if (!found?.read.ok) return null;
  const { revision } = found;
  return { id, rig: found.read.rig, revision, entries: await pageOfLog(id, revision) };
};
