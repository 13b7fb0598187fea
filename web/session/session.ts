import {
  analyse,
  type AskedCommand,
  type Command,
  readCommand,
  reanalyse,
  Refusal,
  undoState,
} from '@echo-loom/core';
import { createStore } from 'zustand/vanilla';
import { followLog, type Judge } from './following';
import { type Opened, RigLog } from './log';
import { PAGE_VERSION } from './protocol';
import { sendEdits } from './sending';
import type { RigSession, RigState, SessionDoor } from './state';
import { isShort, mayTakeBack, revertedByPending } from './taking-back';

/**
 * One open rig in one browser: the saved document, what has been done on top of it, and the conversation with the
 * server. Edits apply at once; the server puts them on top of what others did meanwhile and says what that was.
 * @param judge computes the analysis that the screen shows
 */
export const openSession = (
  opened: Opened,
  door: SessionDoor,
  judge: Judge = (rig, before) => (before ? reanalyse(before, rig) : analyse(rig)),
): RigSession => {
  const log = new RigLog(opened);
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

  const following = followLog(log, store, door, judge);
  const { show, loadPage, lookAgain, absorb } = following;
  const { flush, waiting } = sendEdits(log, store, door, following);

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
        await following.reach(revertedByPending(pending));
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
