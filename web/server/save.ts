import type { SaveAnswer, SaveRequest, Stand } from '@/session/protocol';
import { applyTracked, readRig, Refusal, refusals, type Rig, RIG_VERSION } from '@echo-loom/core';
import { eq, sql } from 'drizzle-orm';
import { CHANNEL, type Notice } from './channel';
import { database } from './database';
import { areInLog, entriesAfter } from './rigs';
import { entries, rigs } from './schema';
import { idsInLog, putAll, type Transaction, Writing } from './writing';

/**
 * Saving. Requests for one rig wait in one line; whatever waits is taken together, put on top of the newest document,
 * and written in one transaction. What a request's author has missed goes back with its answer.
 */

/** The commands of one request count together; a batch counts as many as it holds. */
export const MAX_COMMANDS = 2000;
/** Most requests written in one transaction. */
const MAX_TOGETHER = 50;

interface Job {
  readonly request: SaveRequest;
  readonly done: (answer: SaveAnswer) => void;
  readonly failed: (error: unknown) => void;
}

interface Known {
  /** Which write of the row this is, as PostgreSQL counts them */
  readonly write: string;
  readonly rig: Rig;
  /** Where the log stood then */
  readonly stand: Stand;
}

interface Line {
  readonly waiting: Job[];
  isMoving: boolean;
}

interface Saving {
  readonly lines: Map<string, Line>;
  /** Documents as they were last written, so that the next save need not read them again */
  readonly known: Map<string, Known>;
}

const store = globalThis as typeof globalThis & { echoLoomSaving?: Saving };
const theSaving = (): Saving => (store.echoLoomSaving ??= { lines: new Map(), known: new Map() });

/** Most documents remembered, the least lately written forgotten first. */
const MAX_KNOWN = 20;

const remember = (id: string, known: Known): void => {
  const all = theSaving().known;
  all.delete(id);
  all.set(id, known);
  const [oldest] = all.keys();
  if (all.size > MAX_KNOWN && oldest !== undefined) all.delete(oldest);
};

/** Writes what waits for one rig, in one transaction. @returns the answers, in the order of the requests */
const saveTogether = async (
  rigId: string,
  requests: readonly SaveRequest[],
): Promise<SaveAnswer[]> => {
  let written: Known | null = null;
  const answers = await database().transaction(async (tx): Promise<SaveAnswer[]> => {
    const [row] = await tx
      .select({
        revision: rigs.revision,
        deletedAt: rigs.deletedAt,
        write: sql<string>`xmin::text`,
      })
      .from(rigs)
      .where(eq(rigs.id, rigId))
      .for('update');
    if (!row || row.deletedAt) return requests.map(() => ({ status: 'gone' }));
    const document = await documentNow(tx, rigId, row);
    if (!document) return requests.map(() => ({ status: 'gone' }));

    const stands = requests.map(({ on }) => on);
    const isOn = await areInLog(rigId, stands, tx);
    const taken = requests.filter((_, index) => isOn[index]);
    const items = taken.flatMap((request) => request.entries);
    const inLog =
      items.length > 0
        ? await idsInLog(
            tx,
            rigId,
            items.map(({ id }) => id),
          )
        : new Set<string>();
    const writing = await putAll(
      () => new Writing(tx, rigId, document, row.revision, inLog),
      items,
    );

    const revision = row.revision + writing.rows.length;
    if (writing.rows.length > 0) {
      await tx.insert(entries).values(writing.rows);
      const [now] = await tx
        .update(rigs)
        .set({ document: writing.rig, revision, changedAt: new Date() })
        .where(eq(rigs.id, rigId))
        .returning({ write: sql<string>`xmin::text` });
      const notice: Notice = { rigId, saved: { since: row.revision, revision } };
      await tx.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(notice)})`);
      const entryId = writing.rows.at(-1)?.entryId ?? null;
      if (now) written = { write: now.write, rig: writing.rig, stand: { revision, entryId } };
    }

    const from = Math.min(revision, ...taken.map(({ on }) => on.revision));
    const log = from < revision ? await entriesAfter(rigId, from, tx) : [];
    return requests.map((request, index): SaveAnswer => {
      if (!isOn[index]) return { status: 'other log' };
      return {
        status: 'taken',
        entries: log.filter((entry) => entry.revision > request.on.revision),
        refused: request.entries.flatMap(({ id }) => {
          const outcome = writing.outcomes.get(id);
          return outcome?.is === 'refused' ? [{ id, why: outcome.why }] : [];
        }),
        done: request.entries.flatMap(({ id }) =>
          writing.outcomes.get(id)?.is === 'done' ? [id] : [],
        ),
      };
    });
  });
  if (written) remember(rigId, written);
  return answers;
};

/** Most entries of others that are put on a remembered document; for more it is read. */
const MAX_FOLLOWED = 50;

/**
 * The document as it stands in a row that this transaction holds. Another instance may have written meanwhile: then its
 * entries are put on what is remembered, as every browser does, which costs a tenth of reading the document anew.
 * @returns null where it cannot be read
 */
const documentNow = async (
  tx: Transaction,
  rigId: string,
  row: { revision: number; write: string },
): Promise<Rig | null> => {
  const known = theSaving().known.get(rigId);
  if (known?.write === row.write) return known.rig;
  return (known && (await followed(tx, rigId, known, row.revision))) ?? readDocument(tx, rigId);
};

const followed = async (
  tx: Transaction,
  rigId: string,
  { rig, stand }: Known,
  revision: number,
): Promise<Rig | null> => {
  const missing = revision - stand.revision;
  if (missing <= 0 || missing > MAX_FOLLOWED) return null;
  const [isSame] = await areInLog(rigId, [stand], tx);
  const entries = isSame ? await entriesAfter(rigId, stand.revision, tx) : [];
  if (entries.length !== missing) return null;
  try {
    return entries.reduce((at, { command }) => {
      if (command === null) throw refusals.beforeUpgrade();
      return applyTracked(at, command).rig;
    }, rig);
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

const readDocument = async (tx: Transaction, rigId: string): Promise<Rig | null> => {
  const [row] = await tx.select({ document: rigs.document }).from(rigs).where(eq(rigs.id, rigId));
  const read = readRig(row?.document);
  return read.ok ? read.rig : null;
};

/** Takes what waits for a rig, again and again, until nothing does. */
const move = async (rigId: string, line: Line): Promise<void> => {
  while (line.waiting.length > 0) {
    const jobs = line.waiting.splice(0, MAX_TOGETHER);
    try {
      const answers = await saveTogether(
        rigId,
        jobs.map(({ request }) => request),
      );
      jobs.forEach(({ done }, index) => done(answers[index] ?? { status: 'gone' }));
    } catch (error) {
      for (const { failed } of jobs) failed(error);
    }
  }
  theSaving().lines.delete(rigId);
};

/** How many commands an entry brings, as far as can be said before it is read. */
const weight = (command: unknown): number =>
  typeof command === 'object' &&
  command !== null &&
  'commands' in command &&
  Array.isArray(command.commands)
    ? command.commands.length
    : 1;

/** Whether a request brings more than one should. */
export const isTooMuch = ({ entries: items }: SaveRequest): boolean =>
  items.reduce((sum, { command }) => sum + weight(command), 0) > MAX_COMMANDS && items.length > 1;

/**
 * Saves entries on top of whatever the rig is now. An entry that still applies is applied, one that does not is
 * refused with its reason, and neither holds up the others; one that is in the log already is not applied twice.
 * @throws when the database is away or busy; then nothing of it was saved, or its answer was lost
 */
export const saveEntries = (rigId: string, request: SaveRequest): Promise<SaveAnswer> => {
  if (request.version !== RIG_VERSION)
    return Promise.resolve({ status: 'other version', version: RIG_VERSION });
  const { lines } = theSaving();
  const line = lines.get(rigId) ?? { waiting: [], isMoving: false };
  lines.set(rigId, line);
  return new Promise((done, failed) => {
    line.waiting.push({ request, done, failed });
    if (line.isMoving) return;
    line.isMoving = true;
    // What arrives in the same turn goes together.
    setImmediate(() => void move(rigId, line));
  });
};
