import type { SavedEntry, SaveRequest } from '@/session/protocol';
import {
  type Applied,
  applyTracked,
  type AskedRevert,
  checkRig,
  type Command,
  readCommand,
  Refusal,
  refusals,
  revertOf,
  type Rig,
  RIG_VERSION,
  sentence,
  writable,
} from '@echo-loom/core';
import { and, desc, eq, inArray } from 'drizzle-orm';
import type { Database } from './database';
import { toSaved } from './rigs';
import { entries } from './schema';

/** Entries put on a document inside a transaction: each applied, refused with its reason, or done already. */

export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
type Item = SaveRequest['entries'][number];
type NewEntry = typeof entries.$inferInsert;

/** Work on the request thread is interrupted this often for everyone else's. @unit ms */
const BREATHE_MS = 12;

/** What became of one entry. */
type Outcome =
  | { readonly is: 'new' }
  /** Changes nothing, or is in the log already */
  | { readonly is: 'done' }
  | { readonly is: 'refused'; readonly why: string };

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

/** The document while a transaction puts entries on it. */
export class Writing {
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
        version: RIG_VERSION,
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
    if (!entry || entry.command?.type === 'revert') throw refusals.notInLog();
    if (entry.version !== RIG_VERSION) throw refusals.beforeUpgrade();
    if (entry.author !== author) throw refusals.notYours();
    const last =
      this.rows.findLast(({ reverts }) => reverts === entryId)?.command ??
      (await this.lastRevert(entryId));
    const isTakenBack = last?.type === 'revert' && last.does === 'undo';
    if (isTakenBack !== (does === 'redo')) throw refusals.alreadyReverted(does);
    return revertOf({ id: entryId, changes: entry.changes, says: entry.says }, does);
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

/** Which of the entries are in the log already: their answer was lost on the way. */
export const idsInLog = async (
  tx: Transaction,
  rigId: string,
  ids: string[],
): Promise<ReadonlySet<string>> => {
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
export const putAll = async (begin: () => Writing, items: readonly Item[]): Promise<Writing> => {
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
    const why = refusals.wouldBreak(
      problem?.path ?? 'the document',
      problem?.says ?? 'unknown',
    ).message;
    careful.rig = rig;
    careful.rows.pop();
    careful.outcomes.set(item.id, { is: 'refused', why });
  }
  return careful;
};
