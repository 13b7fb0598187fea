import { useCallback, useEffect, useRef, useState } from 'react';
import { type Logbook, readLogbook } from '@/session/logbook';

export type AskedLogbook =
  | { readonly state: 'asking' }
  | ({
      readonly state: 'there';
      /** By this machine’s clock, when it was read */
      readonly readMs: number;
      /** Asked for again, and the server did not answer: this is how it was */
      readonly isAway: boolean;
    } & Logbook)
  | { readonly state: 'failed'; readonly says: string };

const ask = async (rigId: string): Promise<AskedLogbook> => {
  try {
    return { state: 'there', readMs: Date.now(), isAway: false, ...(await readLogbook(rigId)) };
  } catch {
    return {
      state: 'failed',
      says: 'The logbook cannot be read: the server does not answer. Try again.',
    };
  }
};

/** The logbook of a rig: read when the page opens, and again when it is asked for. */
export const useLogbook = (
  rigId: string,
): { readonly logbook: AskedLogbook; readonly again: () => Promise<AskedLogbook> } => {
  const [logbook, setLogbook] = useState<AskedLogbook>({ state: 'asking' });
  const asked = useRef(0);
  const answered = useRef(0);
  const again = useCallback(async () => {
    const turn = ++asked.current;
    const next = await ask(rigId);
    // An answer that was overtaken tells how it was before.
    if (turn < answered.current) return next;
    answered.current = turn;
    setLogbook((before) =>
      next.state === 'failed' && before.state === 'there' ? { ...before, isAway: true } : next,
    );
    return next;
  }, [rigId]);
  useEffect(() => {
    let isOver = false;
    void ask(rigId).then((next) => !isOver && setLogbook(next));
    return () => {
      isOver = true;
    };
  }, [rigId]);
  return { logbook, again };
};

/** What the server’s clock shows now, as far as the last answer tells. */
export const serverNowMs = ({ serverMs, readMs }: { serverMs: number; readMs: number }): number =>
  serverMs + (Date.now() - readMs);

/** `3 Dec 2026, 19:30` in local time. */
export const momentText = (ms: number): string =>
  new Date(ms).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
