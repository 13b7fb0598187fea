'use client';

import { type RunPlan, runState } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { openRun, type RunSession } from '@/session/run-session';

/** How often a run asks what is new: a stop or a mark of another window is there within a second. @unit ms */
const ASK_EVERY_MS = 700;
/** An answer that takes longer has not come. @unit ms */
const ANSWER_WITHIN_MS = 5000;
/** How often the clock is drawn. @unit ms */
const DRAW_EVERY_MS = 200;

/** The run in this page, for as long as the page is open. */
export const useOpenRun = (rigId: string, runId: string, plan: RunPlan): RunSession => {
  const [session] = useState(() =>
    openRun(
      { rigId, runId, plan },
      {
        box: window.localStorage,
        fetch: (path, init) =>
          fetch(path, {
            ...init,
            cache: 'no-store',
            signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
          }),
        steadyMs: () => performance.now(),
        wallMs: () => Date.now(),
        newId: () => nanoid(),
      },
    ),
  );
  useEffect(() => {
    const ask = () => void session.catchUp();
    ask();
    const timer = setInterval(ask, ASK_EVERY_MS);
    window.addEventListener('online', ask);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', ask);
    };
  }, [session]);
  return session;
};

export const useRunShown = (session: RunSession) => {
  const shown = useStore(session.store);
  const state = useMemo(() => runState(shown.events), [shown.events]);
  return { ...shown, state };
};

/** The clock of the run, drawn a few times a second. */
export const useNowMs = (session: RunSession): number => {
  const [nowMs, setNowMs] = useState(() => session.nowMs());
  useEffect(() => {
    const timer = setInterval(() => setNowMs(session.nowMs()), DRAW_EVERY_MS);
    return () => clearInterval(timer);
  }, [session]);
  return nowMs;
};

/** Keeps the screen awake while it is shown; a browser that cannot is left alone. */
export const useAwake = (): void => {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const hold = async () => {
      try {
        const held = await navigator.wakeLock.request('screen');
        if (isOver) await held.release();
        else lock = held;
      } catch {
        // An empty battery or a hidden page refuses it.
      }
    };
    const again = () => document.visibilityState === 'visible' && void hold();
    void hold();
    document.addEventListener('visibilitychange', again);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
};
