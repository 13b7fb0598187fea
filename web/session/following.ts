import type { Analysis, Rig } from '@echo-loom/core';
import { undoState } from '@echo-loom/core';
import type { StoreApi } from 'zustand/vanilla';
import { OtherLog, type RigLog } from './log';
import type { SetAside } from './outbox';
import type { SavedEntry } from './protocol';
import type { RigState, SessionDoor } from './state';
import { mayTakeBack, withUndone } from './taking-back';

/** Computes the analysis that the screen shows, from the one before where there is one. */
export type Judge = (rig: Rig, before: Analysis | null) => Analysis;

/** What the log in this browser is kept up with. */
export interface Following {
  /** Puts on the screen what the log has become. @param aside edits that are taken out, for the person to see */
  show(aside?: readonly SetAside[], more?: Partial<RigState>): void;
  /** Says that the rig is no longer there. */
  gone(): false;
  /** Puts the page before what is known in its place. @returns whether there was one */
  loadPage(): Promise<boolean>;
  /** Fetches as much of the log as holds these entries, where it holds them at all. */
  reach(ids: readonly string[]): Promise<void>;
  /** Reads everything anew. @returns whether the rig is there */
  reopen(): Promise<boolean>;
  /** Fetches what follows on what is known, or everything where the server's log is another. @returns as `reopen` */
  lookAgain(): Promise<boolean>;
  /**
   * Takes in entries of the log. Where they do not follow on what is known, asks for those between.
   * @param settled edits of this browser that the server has answered
   */
  absorb(
    entries: readonly SavedEntry[],
    settled?: ReadonlySet<string>,
    aside?: readonly SetAside[],
  ): Promise<void>;
}

/** Keeps the log of one open rig up with the server's, and the screen with the log. */
export const followLog = (
  log: RigLog,
  store: StoreApi<RigState>,
  door: SessionDoor,
  judge: Judge,
): Following => {
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

  const reach = async (ids: readonly string[]): Promise<void> => {
    while (ids.some((id) => !log.knows(id))) if (!(await loadPage())) return;
  };

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

  const absorb = async (
    entries: readonly SavedEntry[],
    settled?: ReadonlySet<string>,
    aside: readonly SetAside[] = [],
  ) => {
    try {
      show([...aside, ...log.absorb(entries, settled)]);
    } catch (error) {
      if (!(error instanceof OtherLog)) throw error;
      show(aside);
      await lookAgain();
    }
  };

  return { show, gone, loadPage, reach, reopen, lookAgain, absorb };
};
