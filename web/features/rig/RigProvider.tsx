'use client';

import { nanoid } from 'nanoid';
import { type Analysis, analyse, reanalyse } from '@echo-loom/core';
import { useEffect, useLayoutEffect, useState, type ReactNode } from 'react';
import { browserDoor } from '@/session/door';
import { hearOf } from '@/session/events';
import type { Opened } from '@/session/log';
import { adoptBoxes, holdTab, liveTabs } from '@/session/outbox';
import { openSession } from '@/session/session';
import { EngineQueue } from '@/workers/queue';
import { startEngine } from '@/workers/start';
import { OpenRig } from './open-rig';

export { useRig, useRigId, useRigSession } from './open-rig';
import type { RigSession } from '@/session/state';

interface Props {
  readonly rigId: string;
  readonly saved: Opened;
  /** Of the rig as it was saved */
  readonly first: Analysis;
  readonly children: ReactNode;
}

/** Takes over what closed tabs have left; their boxes are emptied only once this tab's own holds it. */
const adopt = async (rigId: string, tabId: string, session: RigSession): Promise<void> => {
  const left = adoptBoxes(localStorage, rigId, tabId, await liveTabs());
  if (left.pending.length === 0 && left.setAside.length === 0) return;
  if (await session.adopt(left)) left.emptied();
};

/** Opens a rig: applies edits at once, saves them, and hears of everybody else's. */
export const RigProvider = ({ rigId, saved, first, children }: Props) => {
  const [session, setSession] = useState<RigSession | null>(null);
  const [engine] = useState(() => new EngineQueue(startEngine));
  useEffect(() => () => engine.end(), [engine]);

  // Before the first paint: the page stays as it is until the open rig takes its place.
  useLayoutEffect(() => {
    const tabId = nanoid();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const opened = openSession(
      saved,
      browserDoor(rigId, tabId, (ms) => {
        clearTimeout(timer);
        timer = setTimeout(() => void opened.catchUp(), ms);
      }),
      (rig, before) => (before ? reanalyse(before, rig) : rig === saved.rig ? first : analyse(rig)),
    );
    holdTab(tabId);
    void adopt(rigId, tabId, opened);
    const stopHearing = hearOf(rigId, tabId, opened.hear);
    const catchUp = () => void opened.catchUp();
    // The browser may have kept this page: then the rig went on without it.
    if (navigator.serviceWorker?.controller) catchUp();
    const lookAgain = () => {
      if (document.visibilityState !== 'visible') return;
      catchUp();
      // Another tab may have crashed meanwhile, with edits in its box.
      void adopt(rigId, tabId, opened);
    };
    window.addEventListener('online', catchUp);
    document.addEventListener('visibilitychange', lookAgain);
    const warn = (event: BeforeUnloadEvent) => {
      if (opened.store.getState().save.state !== 'saved') event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    // A session needs the browser's storage, so it can only be opened here.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setSession(opened);
    return () => {
      clearTimeout(timer);
      stopHearing();
      window.removeEventListener('online', catchUp);
      document.removeEventListener('visibilitychange', lookAgain);
      window.removeEventListener('beforeunload', warn);
    };
    // A session lives as long as its page; what the server sends later reaches it as events.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [rigId]);

  return session ? (
    <OpenRig rigId={rigId} session={session} engine={engine}>
      {children}
    </OpenRig>
  ) : null;
};
