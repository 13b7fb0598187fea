import {
  analyse,
  reanalyse,
  type Analysis,
  type AskedCommand,
  type Command,
  readCommand,
  Refusal,
  type Rig,
  undoState,
} from '@echo-loom/core';
import { createStore } from 'zustand/vanilla';
import { type Applied, type Opened, OtherLog, RigLog } from './log';
import type { SetAside } from './outbox';
import { PAGE_VERSION, type Pending, type SaveAnswer, type SavedEntry } from './protocol';
import { NotUnderstood, type RigSession, type RigState, type SessionDoor } from './state';
import { isShort, mayTakeBack, revertedByPending, withUndone } from './taking-back';

/** Most entries sent at once; the server takes 200. */
const BATCH = 100;
/** Most sent at once, unless one entry alone is larger. @unit characters of JSON */
const BATCH_SIZE = 500_000;
const FIRST_RETRY_MS = 500;
const LAST_RETRY_MS = 4000;

/** The first of the pending edits, as many as one request should carry. */
const batchOf = (pending: readonly Applied[], most: number): Pending[] => {
  const batch: Pending[] = [];
  let size = 0;
  for (const item of pending.slice(0, most)) {
    size += JSON.stringify(item.pending.command).length;
    if (batch.length > 0 && size > BATCH_SIZE) break;
    batch.push(item.pending);
  }
  return batch;
};

/**
 * One open rig in one browser: the saved document, what has been done on top of it, and the conversation with the
 * server. Edits apply at once; the server puts them on top of what others did meanwhile and says what that was.
 * @param judge computes the analysis that the screen shows
 */
export const openSession = (
  opened: Opened,
  door: SessionDoor,
  judge: (rig: Rig, before: Analysis | null) => Analysis = (rig, before) =>
    before ? reanalyse(before, rig) : analyse(rig),
): RigSession => {
  const log = new RigLog(opened);
  let sending: Promise<void> | null = null;
  let retryMs = FIRST_RETRY_MS;
  let mostAtOnce = BATCH;

  const first = log.history();
  const store = createStore<RigState>(() => ({
    rig: log.rig,
    analysis: judge(log.rig, null),
    history: first,
    earlier: log.earlier,
    undo: undoState(first, door.author),
    may: mayTakeBack(log, first, door.author),
    save: { state: 'saved' },
    setAside: [],
    isKept: true,
    refusal: null,
  }));

  const show = (aside: readonly SetAside[] = [], more: Partial<RigState> = {}): void => {
    const { rig } = log;
    const history = log.history();
    const before = store.getState();
    const known = new Set(before.setAside.map(({ id }) => id));
    const setAside = [...before.setAside, ...aside.filter(({ id }) => !known.has(id))];
    const isKept = door.keep({ pending: log.pending.map(({ pending }) => pending), setAside });
    const analysis = rig === before.rig ? before.analysis : judge(rig, before.analysis);
    const undo = undoState(history, door.author);
    const { earlier } = log;
    store.setState({
      rig,
      analysis,
      history,
      earlier,
      undo,
      may: mayTakeBack(log, history, door.author),
      setAside,
      isKept,
      ...more,
    });
  };

  const gone = (): false => {
    store.setState({ save: { state: 'gone' } });
    return false;
  };

  /** Puts the page before what is known in its place. @returns whether there was one */
  const loadPage = async (): Promise<boolean> => {
    const { first, earlier } = log;
    if (earlier === 0) return false;
    const page = await door.fetchBefore(first);
    if (page === 'gone') return gone();
    // Somebody else asked for it meanwhile, or the log was read anew.
    if (log.first !== first) return true;
    log.precede(page);
    show();
    return true;
  };

  /** Fetches as much of the log as holds these entries, where it holds them at all. */
  const reach = async (ids: readonly string[]): Promise<void> => {
    while (ids.some((id) => !log.knows(id))) if (!(await loadPage())) return;
  };

  /** Reads everything anew. @returns whether the rig is there */
  const reopen = async (): Promise<boolean> => {
    const asked = log.stand;
    const newest = await door.fetchWhole();
    if (newest === null) return gone();
    const whole = await withUndone(newest, log, door);
    // A save was answered meanwhile: what was fetched may be older than what is known by now.
    if (log.stand.entryId !== asked.entryId || log.stand.revision !== asked.revision)
      return lookAgain();
    show(log.reopen(whole));
    return true;
  };

  /** Fetches what follows on what is known, or everything where the server's log is another. @returns as `reopen` */
  const lookAgain = async (): Promise<boolean> => {
    const missed = await door.fetchAfter(log.stand);
    if (missed === 'gone') return gone();
    if (missed === 'other log') return reopen();
    try {
      show(log.absorb(missed));
      return true;
    } catch (error) {
      if (!(error instanceof OtherLog)) throw error;
      return reopen();
    }
  };

  /** Takes in entries of the log. Where they do not follow on what is known, asks for those between. */
  const absorb = async (
    entries: readonly SavedEntry[],
    settled?: ReadonlySet<string>,
    aside: SetAside[] = [],
  ) => {
    try {
      show([...aside, ...log.absorb(entries, settled)]);
    } catch (error) {
      if (!(error instanceof OtherLog)) throw error;
      show(aside);
      await lookAgain();
    }
  };

  /** Takes one edit out that the server will never take, and keeps it in sight. */
  const putAside = async (pending: Pending, why: string): Promise<void> => {
    const says = log.pending.find(({ id }) => id === pending.id)?.says ?? 'An edit.';
    await absorb([], new Set([pending.id]), [{ id: pending.id, says, why, kept: pending.command }]);
  };

  const settle = async (
    batch: readonly Pending[],
    answer: Extract<SaveAnswer, { status: 'taken' }>,
  ): Promise<void> => {
    const why = new Map(answer.refused.map((item) => [item.id, item.why]));
    const settled = new Set([...why.keys(), ...answer.done]);
    const saved = new Set(answer.entries.map(({ id }) => id));
    if (batch.some(({ id }) => !settled.has(id) && !saved.has(id))) {
      throw new Error(
        'The server did not say what became of an edit. It is kept in this browser and will be sent again.',
      );
    }
    const aside = log.pending.flatMap(({ id, says, pending }): SetAside[] => {
      const reason = why.get(id);
      return reason === undefined ? [] : [{ id, says, why: reason, kept: pending.command }];
    });
    await absorb(answer.entries, settled, aside);
  };

  /** One request and what follows from its answer. @returns whether there is more to send */
  const sendBatch = async (): Promise<boolean> => {
    const batch = batchOf(log.pending, mostAtOnce);
    const entries = batch.map(({ id, author, command }) => ({ id, author, command }));
    let answer: SaveAnswer;
    try {
      answer = await door.send({ version: PAGE_VERSION, on: log.stand, entries });
    } catch (error) {
      const [only] = batch;
      if (!(error instanceof NotUnderstood) || !only) throw error;
      // One of them is the reason: each goes alone until the one is found and set aside.
      if (batch.length === 1) await putAside(only, error.message);
      mostAtOnce = batch.length === 1 ? BATCH : 1;
      return true;
    }
    switch (answer.status) {
      case 'taken':
        await settle(batch, answer);
        return true;
      case 'other log':
        return reopen();
      case 'other version':
        throw new Error(
          'Echo Loom has been updated meanwhile. Your edits are kept in this browser; reload the page to save them.',
        );
      case 'gone':
        return gone();
    }
  };

  const sendPending = async (): Promise<void> => {
    if (log.pending.length > 0) store.setState({ save: { state: 'saving' } });
    while (log.pending.length > 0) if (!(await sendBatch())) return;
    retryMs = FIRST_RETRY_MS;
    mostAtOnce = BATCH;
    store.setState({ save: { state: 'saved' } });
  };

  const waiting = (error: unknown): void => {
    const says = error instanceof Error ? error.message : 'The server does not answer.';
    store.setState({ save: { state: 'waiting', says } });
    door.retryIn(retryMs);
    retryMs = Math.min(retryMs * 2, LAST_RETRY_MS);
  };

  const flush = (): Promise<void> => {
    sending ??= sendPending()
      .catch(waiting)
      .finally(() => {
        sending = null;
        // What was entered while the last answer was being taken in.
        if (log.pending.length > 0 && store.getState().save.state === 'saved') void flush();
      });
    return sending;
  };

  const enter = (command: AskedCommand): boolean => {
    try {
      const pending = { id: door.newId(), author: door.author, version: PAGE_VERSION, command };
      if (!log.add(pending)) {
        store.setState({ refusal: null });
        return true;
      }
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      store.setState({ refusal: error.message });
      return false;
    }
    const { save } = store.getState();
    show([], { refusal: null, save: save.state === 'saved' ? { state: 'saving' } : save });
    void flush();
    return true;
  };

  const run = (command: Command): boolean => {
    try {
      return enter(readCommand(command));
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      store.setState({ refusal: error.message });
      return false;
    }
  };

  const take = (does: 'undo' | 'redo'): void => {
    const item = store.getState().undo[does].at(-1);
    if (item) enter({ type: 'revert', does, entryId: item.id });
  };

  const revert = (does: 'undo' | 'redo'): void => {
    if (!isShort(log, door.author, does)) {
      take(does);
      return;
    }
    const reaching = async (): Promise<void> => {
      while (isShort(log, door.author, does)) if (!(await loadPage())) break;
      take(does);
    };
    void reaching().catch(waiting);
  };

  const without = (id: string): void => {
    store.setState(({ setAside }) => ({ setAside: setAside.filter((item) => item.id !== id) }));
    show();
  };

  const catchUp = async (): Promise<void> => {
    try {
      const isThere = await lookAgain();
      if (isThere && (log.pending.length > 0 || store.getState().save.state !== 'saved'))
        void flush();
    } catch (error) {
      waiting(error);
    }
  };

  return {
    store,
    run,
    undo: () => revert('undo'),
    redo: () => revert('redo'),
    dismissRefusal: () => store.setState({ refusal: null }),
    dismissSetAside: without,
    retrySetAside: (id) => {
      const item = store.getState().setAside.find((aside) => aside.id === id);
      try {
        if (item && enter(readCommand(item.kept))) without(id);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        store.setState({ refusal: error.message });
      }
    },
    hear: (event) => {
      if (event.tells === 'look' || !event.entries) void catchUp();
      else void absorb(event.entries).catch(waiting);
    },
    catchUp,
    flush,
    loadEarlier: async () => {
      await loadPage().catch(waiting);
    },
    adopt: async ({ pending, setAside }) => {
      try {
        await reach(revertedByPending(pending));
      } catch (error) {
        // It stays where it was left, for the next try.
        waiting(error);
        return false;
      }
      show([...setAside, ...log.adopt(pending)]);
      if (log.pending.length > 0) void flush();
      return store.getState().isKept;
    },
  };
};
