import {
  applyTracked,
  type AskedCommand,
  type Command,
  type LogEntry,
  Refusal,
  refusals,
  revertOf,
  type Rig,
  sentence,
} from '@echo-loom/core';
import type { SetAside } from './outbox';
import { PAGE_VERSION, type Pending, type SavedEntry, type Stand } from './protocol';

export interface HistoryLine extends LogEntry {
  /** ISO 8601; null until it is saved */
  readonly at: string | null;
}

/** What a rig was when it was read from the server: the document, and the newest page of the log that made it. */
export interface Opened {
  readonly rig: Rig;
  readonly revision: number;
  readonly entries: readonly SavedEntry[];
}

/** A pending edit as it stands on what is below it. */
export interface Applied extends HistoryLine {
  readonly command: Command;
  readonly pending: Pending;
  readonly rig: Rig;
}

/** The log of the server has something that this page cannot put under its own edits: it must be read anew. */
export class OtherLog extends Error {
  override readonly name = 'OtherLog';
}

/** The document after an entry of the server's log. @throws OtherLog where it does not fit on it */
const follow = (rig: Rig, { command }: SavedEntry): Rig => {
  if (command === null) throw new OtherLog('an entry that cannot be read');
  try {
    return applyTracked(rig, command).rig;
  } catch (error) {
    if (error instanceof Refusal) throw new OtherLog(error.message);
    throw error;
  }
};

/**
 * The saved document of a rig with its log, and on top of it the edits that are not saved yet. No edit leaves it
 * unless it is in the log, changes nothing, or comes back as set aside.
 */
export class RigLog {
  private base: Rig;
  private revision: number;
  private saved: readonly SavedEntry[];
  private applied: readonly Applied[] = [];

  constructor({ rig, revision, entries }: Opened) {
    this.base = rig;
    this.revision = revision;
    this.saved = entries;
  }

  get rig(): Rig {
    return this.applied.at(-1)?.rig ?? this.base;
  }

  get pending(): readonly Applied[] {
    return this.applied;
  }

  get stand(): Stand {
    return { revision: this.revision, entryId: this.saved.at(-1)?.id ?? null };
  }

  /** Revision of the oldest entry that is known; the next one where none is. */
  get first(): number {
    return this.saved[0]?.revision ?? this.revision + 1;
  }

  /** How many entries the log has before those that are known. */
  get earlier(): number {
    return this.first - 1;
  }

  /** Whether an entry is known, saved or pending. */
  knows(id: string): boolean {
    return this.entry(id) !== undefined;
  }

  /** Puts an earlier page of the log before what is known. @throws OtherLog where it does not lead there */
  precede(page: readonly SavedEntry[]): void {
    const fits = page.every(({ revision }, index) => revision === this.first - page.length + index);
    if (!fits || page.length === 0) throw new OtherLog('a gap in the log');
    this.saved = [...page, ...this.saved];
  }

  /** Saved entries and pending ones, oldest first, as far back as they are known. */
  history(): HistoryLine[] {
    return [...this.saved, ...this.applied];
  }

  /**
   * Applies an edit on top of everything.
   * @returns whether it changed anything; one that does not leaves no trace
   * @throws Refusal
   */
  add(pending: Pending): boolean {
    const applied = this.onTop(pending);
    if (applied.changes.length === 0) return false;
    this.applied = [...this.applied, applied];
    return true;
  }

  /** The entry of a given id, saved or pending. */
  private entry(id: string): HistoryLine | undefined {
    return this.applied.find((item) => item.id === id) ?? this.saved.find((item) => item.id === id);
  }

  /** An undo as it would be applied now: what it puts back is read from the log. @throws Refusal */
  private whole(command: AskedCommand): Command {
    if (command.type !== 'revert') return command;
    const entry = this.entry(command.entryId);
    if (!entry) throw refusals.notInLog();
    if (entry.version !== PAGE_VERSION) throw refusals.beforeUpgrade();
    return revertOf(entry, command.does);
  }

  private onTop(pending: Pending): Applied {
    const { rig } = this;
    const command = this.whole(pending.command);
    const { rig: next, changes } = applyTracked(rig, command);
    const { id, author } = pending;
    return {
      id,
      author,
      version: PAGE_VERSION,
      command,
      changes,
      says: sentence(rig, command),
      at: null,
      pending,
      rig: next,
    };
  }

  /** Applies pending edits anew on what is saved. @returns those that no longer fit */
  private replay(
    items: readonly { readonly pending: Pending; readonly says?: string }[],
  ): SetAside[] {
    const aside: SetAside[] = [];
    this.applied = [];
    for (const { pending, says } of items) {
      try {
        this.add(pending);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        const fallback =
          pending.command.type === 'revert' ? 'An undo.' : sentence(this.rig, pending.command);
        aside.push({
          id: pending.id,
          says: says ?? fallback,
          why: error.message,
          kept: pending.command,
        });
      }
    }
    return aside;
  }

  /**
   * Puts entries of the server's log under the pending edits, and takes out those that are settled.
   * @param entries in order; those known already are passed over
   * @param settled ids of pending edits that need nothing more
   * @returns what no longer fits
   * @throws OtherLog when the entries do not follow on what is known
   */
  absorb(entries: readonly SavedEntry[], settled: ReadonlySet<string> = new Set()): SetAside[] {
    const fresh = entries.filter(({ revision }) => revision > this.revision);
    if (fresh.length === 0 && settled.size === 0) return [];
    if (fresh.some(({ revision }, index) => revision !== this.revision + 1 + index))
      throw new OtherLog('a gap in the log');
    const ownFirst = fresh.every(({ id }, index) => this.applied[index]?.id === id);
    if (ownFirst) return this.confirm(fresh, settled);
    this.base = fresh.reduce(follow, this.base);
    this.settle(fresh);
    const isSettled = new Set([...settled, ...fresh.map(({ id }) => id)]);
    return this.replay(this.applied.filter(({ id }) => !isSettled.has(id)));
  }

  /** The pending edits that come first were saved as they stand: nothing needs to be computed again. */
  private confirm(fresh: readonly SavedEntry[], settled: ReadonlySet<string>): SetAside[] {
    const last = this.applied[fresh.length - 1];
    if (last) this.base = last.rig;
    this.settle(fresh);
    const left = this.applied.slice(fresh.length);
    if (left.every(({ id }) => !settled.has(id))) {
      this.applied = left;
      return [];
    }
    return this.replay(left.filter(({ id }) => !settled.has(id)));
  }

  private settle(fresh: readonly SavedEntry[]): void {
    this.saved = [...this.saved, ...fresh];
    this.revision = fresh.at(-1)?.revision ?? this.revision;
  }

  /** Begins again from what the server has now, with the pending edits on top. @returns what no longer fits */
  reopen({ rig, revision, entries }: Opened): SetAside[] {
    this.base = rig;
    this.revision = revision;
    this.saved = entries;
    const ids = new Set(entries.map(({ id }) => id));
    return this.replay(this.applied.filter(({ id }) => !ids.has(id)));
  }

  /** Takes over edits of a tab that is gone; those in the log already are passed over. @returns what does not fit */
  adopt(pending: readonly Pending[]): SetAside[] {
    const known = new Set(this.history().map(({ id }) => id));
    const fresh = pending.filter(({ id }) => !known.has(id));
    return this.replay([...this.applied, ...fresh.map((item) => ({ pending: item }))]);
  }
}
