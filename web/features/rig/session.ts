import {
  analyse, applyTracked, Refusal, revertOf, sentence, undoState, type Analysis, type Command, type LogEntry, type Rig, type UndoState,
} from '@echo-loom/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { SavedEntry, SaveAnswer, SaveRequest } from './protocol';
import type { Pending } from './outbox';

/** Whether what is on the screen is in the database. */
export type SaveState =
  | { readonly state: 'saved' }
  | { readonly state: 'saving' }
  /** The server or its database does not answer; edits are kept and sent when it does */
  | { readonly state: 'waiting'; readonly says: string }
  | { readonly state: 'gone' };

/** An edit that could not be replayed on top of others' edits. Shown until it is dismissed, never dropped in silence. */
export interface SetAside {
  readonly id: string;
  readonly says: string;
  readonly why: string;
}

export interface HistoryLine extends LogEntry {
  readonly at: string | null;
}

export interface RigState {
  readonly rig: Rig;
  readonly analysis: Analysis;
  /** Saved entries and pending ones, oldest first */
  readonly history: readonly HistoryLine[];
  readonly undo: UndoState<HistoryLine>;
  readonly save: SaveState;
  readonly setAside: readonly SetAside[];
  /** Why the last command was refused */
  readonly refusal: string | null;
}

export interface RigSession {
  readonly store: StoreApi<RigState>;
  /** Applies a command at once and sends it. @returns whether it was applied; a refusal is in the state */
  readonly run: (command: Command) => boolean;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly dismissRefusal: () => void;
  readonly dismissSetAside: (id: string) => void;
  /** Fetches what others have saved */
  readonly catchUp: () => Promise<void>;
  /** Sends what is pending now */
  readonly flush: () => Promise<void>;
  readonly adopt: (pending: readonly Pending[]) => void;
}

interface Applied extends HistoryLine {
  readonly rig: Rig;
}

/** What a session needs from its surroundings; the browser gives fetch and storage, a test gives its own. */
export interface SessionDoor {
  readonly author: string;
  readonly newId: () => string;
  /** @throws when the server or its database does not answer; the message is shown */
  readonly send: (request: SaveRequest) => Promise<SaveAnswer>;
  /** @throws as `send` */
  readonly fetchAfter: (revision: number) => Promise<readonly SavedEntry[] | null>;
  readonly keep: (pending: readonly Pending[]) => void;
  /** Asks to be flushed again later */
  readonly retryIn: (ms: number) => void;
}

/** Most entries sent at once; the server takes 200. */
const BATCH = 100;
const FIRST_RETRY_MS = 500;
const LAST_RETRY_MS = 4000;

/**
 * One open rig in one browser: the saved document, what has been done on top of it, and the conversation with the server. Edits apply at once; a
 * stale save gets what was missed and replays its own on top.
 */
export const openSession = (saved: { readonly rig: Rig; readonly revision: number; readonly entries: readonly SavedEntry[] }, door: SessionDoor): RigSession => {
  let base = saved.rig;
  let revision = saved.revision;
  let log: SavedEntry[] = [...saved.entries];
  let pending: Applied[] = [];
  let sending: Promise<void> | null = null;
  let retryMs = FIRST_RETRY_MS;

  const history = (): HistoryLine[] => [...log, ...pending];
  const rigNow = (): Rig => pending.at(-1)?.rig ?? base;
  const first = history();
  const store = createStore<RigState>(() => ({
    rig: base, analysis: analyse(base), history: first, undo: undoState(first, door.author), save: { state: 'saved' }, setAside: [], refusal: null,
  }));

  const show = (more: Partial<RigState> = {}): void => {
    const rig = rigNow();
    const lines = history();
    const { rig: shown, analysis } = store.getState();
    store.setState({ rig, analysis: rig === shown ? analysis : analyse(rig), history: lines, undo: undoState(lines, door.author), ...more });
    door.keep(pending);
  };

  const applied = (rig: Rig, item: Pending): Applied => {
    const { rig: next, changes } = applyTracked(rig, item.command);
    return { ...item, changes, says: sentence(rig, item.command), rig: next, at: null };
  };

  /** Applies what is pending again on a new base. What no longer fits is set aside with its reason. */
  const replay = (items: readonly (Pending & { says?: string })[]): SetAside[] => {
    const aside: SetAside[] = [];
    pending = [];
    for (const item of items)
      try {
        pending.push(applied(rigNow(), { id: item.id, author: item.author, command: item.command }));
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        aside.push({ id: item.id, says: item.says ?? sentence(rigNow(), item.command), why: error.message });
      }
    return aside;
  };

  /** Puts entries of the log under what is pending. @returns whether there was anything new in them */
  const absorb = (missed: readonly SavedEntry[]): boolean => {
    const fresh = missed.filter((item) => item.revision > revision);
    if (fresh.length === 0 && missed.every((item) => pending.every((own) => own.id !== item.id))) return false;
    for (const item of fresh) base = applyTracked(base, item.command).rig;
    log = [...log, ...fresh];
    revision = fresh.at(-1)?.revision ?? revision;
    const known = new Set(missed.map((item) => item.id));
    const aside = replay(pending.filter((item) => !known.has(item.id)));
    show({ setAside: [...store.getState().setAside, ...aside] });
    return true;
  };

  const accept = (sent: readonly Applied[], upTo: number): void => {
    const last = sent.at(-1);
    if (!last) return;
    const at = new Date().toISOString();
    base = last.rig;
    log = [...log, ...sent.map((item, index) => ({ id: item.id, author: item.author, command: item.command, changes: item.changes, says: item.says, at, revision: upTo - sent.length + 1 + index }))];
    revision = upTo;
    pending = pending.slice(sent.length);
  };

  const sendPending = async (): Promise<void> => {
    while (pending.length > 0) {
      const batch = pending.slice(0, BATCH);
      store.setState({ save: { state: 'saving' } });
      const answer = await door.send({ revision, entries: batch.map(({ id, author, command }) => ({ id, author, command })) });
      switch (answer.status) {
        case 'saved':
          accept(batch, answer.revision);
          show();
          break;
        case 'stale':
          if (!absorb(answer.missed)) throw new Error('The server has an older version of this rig than this page. Your edits are kept in this browser; reload the page.');
          break;
        case 'refused': {
          const refused = pending.find((item) => item.id === answer.entryId);
          const aside = replay(pending.filter((item) => item.id !== answer.entryId));
          show({ setAside: [...store.getState().setAside, ...(refused ? [{ id: refused.id, says: refused.says, why: answer.why }] : []), ...aside] });
          break;
        }
        case 'gone':
          store.setState({ save: { state: 'gone' } });
          return;
      }
    }
    retryMs = FIRST_RETRY_MS;
    store.setState({ save: { state: 'saved' } });
  };

  const waiting = (error: unknown): void => {
    store.setState({ save: { state: 'waiting', says: error instanceof Error ? error.message : 'The server does not answer.' } });
    door.retryIn(retryMs);
    retryMs = Math.min(retryMs * 2, LAST_RETRY_MS);
  };

  const flush = (): Promise<void> => {
    sending ??= sendPending().catch(waiting).finally(() => {
      sending = null;
    });
    return sending;
  };

  const run = (command: Command): boolean => {
    try {
      pending = [...pending, applied(rigNow(), { id: door.newId(), author: door.author, command })];
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      store.setState({ refusal: error.message });
      return false;
    }
    show({ refusal: null, save: store.getState().save.state === 'waiting' ? store.getState().save : { state: 'saving' } });
    void flush();
    return true;
  };

  const revert = (does: 'undo' | 'redo'): void => {
    const item = store.getState().undo[does].at(-1);
    if (item) run(revertOf(item, does));
  };

  return {
    store,
    run,
    undo: () => revert('undo'),
    redo: () => revert('redo'),
    dismissRefusal: () => store.setState({ refusal: null }),
    dismissSetAside: (id) => store.setState(({ setAside }) => ({ setAside: setAside.filter((item) => item.id !== id) })),
    catchUp: async () => {
      await sending;
      try {
        const missed = await door.fetchAfter(revision);
        // A save may have started meanwhile; its answer must be taken in before anything is put under it.
        while (sending) await sending;
        if (missed === null) store.setState({ save: { state: 'gone' } });
        else absorb(missed);
        if (pending.length > 0 || store.getState().save.state === 'waiting') void flush();
      } catch (error) {
        waiting(error);
      }
    },
    flush,
    adopt: (items) => {
      const aside = replay([...pending, ...items.filter((item) => log.every((known) => known.id !== item.id))]);
      show({ setAside: [...store.getState().setAside, ...aside] });
      if (pending.length > 0) void flush();
    },
  };
};
