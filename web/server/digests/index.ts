import { and, desc, asc, eq, isNull, sql } from 'drizzle-orm';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { database } from '../database';
import { digests, rigs } from '../schema';
import type { RigDigest } from './digest';

/** A rig of the shelf, and what is known of it. */
export interface Digested {
  readonly id: string;
  readonly name: string;
  readonly changedAt: Date;
  /** null while it has never been worked out */
  readonly digest: RigDigest | null;
  /** Whether that is of the document as it stands now */
  readonly isNow: boolean;
}

/** How long a visit waits for rigs that changed since they were worked out; what is not ready then comes later. */
const PATIENCE_MS = 150;

/** What was worked out by another build of the application does not count. */
const engine = ((): string => {
  try {
    return readFileSync(path.join(process.cwd(), '.next/BUILD_ID'), 'utf8').trim();
  } catch {
    return 'development';
  }
})();

const write = sql<string>`${rigs}.xmin::text`;
const isItsOwn = and(eq(digests.rigId, rigs.id), eq(digests.engine, engine));

const store = globalThis as typeof globalThis & {
  echoLoomDigesting?: Map<string, Promise<void>>;
};
/** What is being worked out, by rig and write: asked for twice it is worked out once. */
const underWay = (): Map<string, Promise<void>> => (store.echoLoomDigesting ??= new Map());

const workOut = async (rigId: string): Promise<void> => {
  const [row] = await database()
    .select({ document: sql<string>`${rigs.document}::text`, write })
    .from(rigs)
    .where(eq(rigs.id, rigId));
  if (!row) return;
  const { judge } = await import('./judge');
  const body = await judge({ rigId, document: row.document });
  const values = { engine, write: row.write, body };
  await database()
    .insert(digests)
    .values({ rigId, ...values })
    .onConflictDoUpdate({ target: digests.rigId, set: values })
    // The rig was deleted for good meanwhile.
    .catch((error: unknown) => console.error(error));
};

const digesting = (id: string, of: string): Promise<void> => {
  const key = `${id} ${of}`;
  const all = underWay();
  const running = all.get(key);
  if (running) return running;
  const work = workOut(id)
    .catch((error: unknown) => console.error(error))
    .finally(() => all.delete(key));
  all.set(key, work);
  return work;
};

const after = (ms: number): Promise<void> =>
  new Promise((done) => {
    setTimeout(done, ms).unref();
  });

const standing = async (id?: string) =>
  (
    await database()
      .select({
        id: rigs.id,
        changedAt: rigs.changedAt,
        write,
        ofWrite: digests.write,
        digest: digests.body,
        // Only where nothing newer is known: to look into a document takes the database a while.
        name: sql<
          string | null
        >`case when ${digests.write} = ${rigs}.xmin::text then '' else ${rigs.document}->>'name' end`,
      })
      .from(rigs)
      .leftJoin(digests, isItsOwn)
      .where(and(isNull(rigs.deletedAt), id === undefined ? undefined : eq(rigs.id, id)))
      .orderBy(desc(rigs.changedAt), asc(rigs.id))
  ).map(({ ofWrite, ...row }) => ({ ...row, isNow: ofWrite === row.write }));

/**
 * What is known of every rig on the shelf, or of one. Those that changed are worked out beside the request thread, and
 * waited for a moment.
 * @param patienceMs Infinity waits until all are
 */
export const digested = async (
  id?: string,
  patienceMs: number = PATIENCE_MS,
): Promise<Digested[]> => {
  let rows = await standing(id);
  const behind = rows.filter(({ isNow }) => !isNow);
  if (behind.length > 0) {
    const all = Promise.all(behind.map((row) => digesting(row.id, row.write)));
    await (patienceMs === Infinity ? all : Promise.race([all, after(patienceMs)]));
    rows = await standing(id);
  }
  return rows.map(({ id: rigId, name, changedAt, digest, isNow }) => ({
    id: rigId,
    name: isNow && digest?.is === 'read' ? digest.name : (name ?? ''),
    changedAt,
    digest,
    isNow,
  }));
};
