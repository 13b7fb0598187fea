import {
  applyTracked,
  checkRig,
  readCommand,
  readRig,
  Refusal,
  refusals,
  revertOf,
  RIG_VERSION,
  sentence,
  writable,
  type Applied,
  type AskedRevert,
  type Command,
  type Rig,
} from '@echo-loom/core';
import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { SavedEntry, SaveAnswer, SaveRequest, Stand } from '@/session/protocol';
import { CHANNEL, type Notice } from './channel';
import { database, type Database } from './database';
import { areInLog, entriesAfter, toSaved } from './rigs';
import { entries, rigs } from './schema';

/**
 * Saving. Requests for one rig wait in one line; whatever waits is taken together, put on top of the newest document,
 * and written in one transaction. What a request's author has missed goes back with its answer.
 */

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
type Item = SaveRequest['entries'][number];
type NewEntry = typeof entries.$inferInsert;

/** The commands of one request count together; a batch counts as many as it holds. */
export const MAX_COMMANDS = 2000;
/** Most requests written in one transaction. */
const MAX_TOGETHER = 50;
/** Work on the request thread is interrupted this often for everyone else's. @unit ms */
const BREATHE_MS = 12;

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

/** What became of one entry. */
type Outcome =
  | { readonly is: 'new' }
  /** Changes nothing, or is in the log already */
  | { readonly is: 'done' }
  | { readonly is: 'refused'; readonly why: string };

/** The document while a transaction puts entries on it. */
class Writing {
  readonly outcomes = new Map<string, Outcome>();
  readonly rows: NewEntry[] = [];
  private since = performance.now();

  constructor(
    private readonly tx: Transaction,
    private readonly rigId: string,
    public rig: Rig,
    private readonly revision: number,
    /** Entries of the log that this transaction may have to take back, by id */
    private readonly inLog: ReadonlySet<string>,
  ) {}

  async put(item: Item): Promise<void> {
    if (this.outcomes.has(item.id)) return;
    if (performance.now() - this.since > BREATHE_MS) {
      await new Promise(setImmediate);
      this.since = performance.now();
    }
    this.outcomes.set(item.id, this.inLog.has(item.id) ? { is: 'done' } : await this.outcome(item));
  }

  private async outcome(item: Item): Promise<Outcome> {
    try {
      const asked = readCommand(item.command);
      const command = asked.type === 'revert' ? await this.wholeRevert(asked, item.author) : asked;
      const { rig, changes } = applyOrLog(this.rig, command);
      if (changes.length === 0) return { is: 'done' };
      this.rows.push({
        rigId: this.rigId,
        revision: this.revision + this.rows.length + 1,
        entryId: item.id,
        author: item.author,
        command,
        changes: [...changes],
        says: writable(sentence(this.rig, command)),
        reverts: asked.type === 'revert' ? asked.entryId : null,
      });
      this.rig = rig;
      return { is: 'new' };
    } catch (error) {
      if (error instanceof Refusal) return { is: 'refused', why: error.message };
      throw error;
    }
  }

  /** An undo or redo as the log knows it. What is put back, and what it is called, never comes from who asks. */
  private async wholeRevert({ entryId, does }: AskedRevert, author: string): Promise<Command> {
    const entry = this.rows.find((row) => row.entryId === entryId) ?? (await this.logged(entryId));
    if (!entry || entry.command.type === 'revert') throw refusals.notInLog();
    if (entry.author !== author) throw refusals.notYours();
    const last = this.rows.findLast(({ reverts }) => reverts === entryId)?.command ?? (await this.lastRevert(entryId));
    const isTakenBack = last?.type === 'revert' && last.does === 'undo';
    if (isTakenBack !== (does === 'redo')) throw refusals.alreadyReverted(does);
    return revertOf({ id: entryId, author, command: entry.command, changes: entry.changes, says: entry.says }, does);
  }

  private async logged(entryId: string): Promise<SavedEntry | undefined> {
    const [row] = await this.tx
      .select()
      .from(entries)
      .where(and(eq(entries.rigId, this.rigId), eq(entries.entryId, entryId)));
    return row && toSaved(row);
  }

  private async lastRevert(entryId: string): Promise<Command | undefined> {
    const [row] = await this.tx
      .select({ command: entries.command })
      .from(entries)
      .where(and(eq(entries.rigId, this.rigId), eq(entries.reverts, entryId)))
      .orderBy(desc(entries.revision))
      .limit(1);
    return row?.command;
  }
}

/** Applies a command. One that makes the engine stumble is refused like any other, so that it never blocks the line. */
const applyOrLog = (rig: Rig, command: Command): Applied => {
  try {
    return applyTracked(rig, command);
  } catch (error) {
    if (error instanceof Refusal) throw error;
    console.error(error);
    throw new Refusal('Something went wrong with this edit on the server; it has been logged.');
  }
};

/** Which of the entries are in the log already: their answer was lost on the way. */
const idsInLog = async (tx: Transaction, rigId: string, ids: string[]): Promise<ReadonlySet<string>> => {
  const rows = await tx
    .select({ id: entries.entryId })
    .from(entries)
    .where(and(eq(entries.rigId, rigId), inArray(entries.entryId, ids)));
  return new Set(rows.map(({ id }) => id));
};

/**
 * Puts entries on a document and checks what came of it. Where that could not be read again, each entry is checked by
 * itself and the one that is the reason is refused: nothing unreadable is ever written.
 */
const putAll = async (begin: () => Writing, items: readonly Item[]): Promise<Writing> => {
  const writing = begin();
  for (const item of items) await writing.put(item);
  const checked = checkRig(writing.rig);
  if (checked.ok) {
    writing.rig = checked.rig;
    return writing;
  }
  const careful = begin();
  for (const item of items) {
    const { rig } = careful;
    await careful.put(item);
    const one = checkRig(careful.rig);
    if (one.ok) {
      careful.rig = one.rig;
      continue;
    }
    const [problem] = one.problems;
    const why = refusals.wouldBreak(problem?.path ?? 'the document', problem?.says ?? 'unknown').message;
    careful.rig = rig;
    careful.rows.pop();
    careful.outcomes.set(item.id, { is: 'refused', why });
  }
  return careful;
};

/** Writes what waits for one rig, in one transaction. @returns the answers, in the order of the requests */
const saveTogether = async (rigId: string, requests: readonly SaveRequest[]): Promise<SaveAnswer[]> => {
  let written: Known | null = null;
  const answers = await database().transaction(async (tx): Promise<SaveAnswer[]> => {
    const [row] = await tx
      .select({ revision: rigs.revision, deletedAt: rigs.deletedAt, write: sql<string>`xmin::text` })
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
    const inLog = items.length > 0 ? await idsInLog(tx, rigId, items.map(({ id }) => id)) : new Set<string>();
    const writing = await putAll(() => new Writing(tx, rigId, document, row.revision, inLog), items);

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
        done: request.entries.flatMap(({ id }) => (writing.outcomes.get(id)?.is === 'done' ? [id] : [])),
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
const documentNow = async (tx: Transaction, rigId: string, row: { revision: number; write: string }): Promise<Rig | null> => {
  const known = theSaving().known.get(rigId);
  if (known?.write === row.write) return known.rig;
  return (known && (await followed(tx, rigId, known, row.revision))) ?? readDocument(tx, rigId);
};

const followed = async (tx: Transaction, rigId: string, { rig, stand }: Known, revision: number): Promise<Rig | null> => {
  const missing = revision - stand.revision;
  if (missing <= 0 || missing > MAX_FOLLOWED) return null;
  const [isSame] = await areInLog(rigId, [stand], tx);
  const entries = isSame ? await entriesAfter(rigId, stand.revision, tx) : [];
  if (entries.length !== missing) return null;
  try {
    return entries.reduce((at, { command }) => applyTracked(at, command).rig, rig);
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
  typeof command === 'object' && command !== null && 'commands' in command && Array.isArray(command.commands)
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
  if (request.version !== RIG_VERSION) return Promise.resolve({ status: 'other version', version: RIG_VERSION });
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
