'use client';

import type { Rig } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { browserDoor } from './door';
import { adoptPending, holdTab } from './outbox';
import type { SavedEntry } from './protocol';
import { openSession, type RigSession, type RigState } from './session';

const SessionContext = createContext<RigSession | null>(null);
const RigIdContext = createContext('');

/** The open rig's id, for links. */
export const useRigId = (): string => useContext(RigIdContext);

/** The open rig's session. Only inside `RigProvider`. */
export const useRigSession = (): RigSession => {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useRigSession is used outside a RigProvider');
  return session;
};

/** Part of the open rig's state; the component draws again when that part changes. */
export const useRig = <T,>(select: (state: RigState) => T): T => useStore(useRigSession().store, select);

interface Props {
  readonly rigId: string;
  readonly saved: { readonly rig: Rig; readonly revision: number; readonly entries: readonly SavedEntry[] };
  readonly children: ReactNode;
}

/** Opens a rig: applies edits at once, saves them, and hears of everybody else's. */
export const RigProvider = ({ rigId, saved, children }: Props) => {
  const [session, setSession] = useState<RigSession | null>(null);

  useEffect(() => {
    const tabId = nanoid();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const opened = openSession(saved, browserDoor(rigId, tabId, (ms) => {
      clearTimeout(timer);
      timer = setTimeout(() => void opened.catchUp(), ms);
    }));
    holdTab(tabId);
    void adoptPending(rigId, tabId).then((pending) => pending.length > 0 && opened.adopt(pending));
    const events = new EventSource(`/api/rigs/${rigId}/events`);
    events.onmessage = () => void opened.catchUp();
    const catchUp = () => void opened.catchUp();
    window.addEventListener('online', catchUp);
    const warn = (event: BeforeUnloadEvent) => {
      if (opened.store.getState().save.state !== 'saved') event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    // A session needs the browser's storage, so it can only be opened here.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setSession(opened);
    return () => {
      clearTimeout(timer);
      events.close();
      window.removeEventListener('online', catchUp);
      window.removeEventListener('beforeunload', warn);
    };
    // A session lives as long as its page; what the server sends later reaches it as events.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [rigId]);

  return session ? <RigIdContext.Provider value={rigId}><SessionContext.Provider value={session}>{children}</SessionContext.Provider></RigIdContext.Provider> : null;
};
