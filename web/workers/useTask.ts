'use client';

import type { Analysis, Progress } from '@echo-loom/core';
import { proxy, type Remote } from 'comlink';
import { createContext, useContext, useEffect, useRef, useState } from 'react';
import type { EngineQueue } from './queue';
import type { EngineTasks } from './tasks';

/** The engine of the rig that is open, where one is. */
export const EngineContext = createContext<EngineQueue | null>(null);
export const EngineProvider = EngineContext.Provider;

/** How far a task is. */
export type TaskState<T> =
  | { readonly state: 'idle' }
  | { readonly state: 'working'; readonly tried: number; readonly of: number }
  | { readonly state: 'done'; readonly value: T }
  | { readonly state: 'failed'; readonly says: string };

interface Wanted<T> {
  /** The analysis whose rig it is about; another rig asks anew */
  readonly analysis: Analysis;
  /** What is asked for; null while nothing is. Another key asks anew */
  readonly key: string | null;
  readonly ask: (tasks: Remote<EngineTasks>, onProgress: Progress) => Promise<T>;
  /** Whether it is looked at just now */
  readonly isSeen?: () => boolean;
  /** Whether it may take so long that cancelling must end it */
  readonly isLong?: boolean;
  /** So long the rig must be left as it is before it is begun. @unit ms */
  readonly restMs?: number;
  /** Called once with the value, where it is to be used at once and not shown */
  readonly onFound?: ((value: T) => void) | undefined;
}

interface Kept<T> {
  readonly analysis: Analysis;
  readonly key: string | null;
  readonly at: TaskState<T>;
}

const IDLE = { state: 'idle' } as const;
const BEGUN = { state: 'working', tried: 0, of: 0 } as const;

/**
 * Something the engine works out in its own thread, for as long as the component shows it. Cancelled
 * when the component goes, or asks for something else.
 */
export const useTask = <T>({
  analysis,
  key,
  ask,
  isSeen,
  isLong = false,
  restMs = 0,
  onFound,
}: Wanted<T>): TaskState<T> => {
  const queue = useContext(EngineContext);
  const [kept, setKept] = useState<Kept<T> | null>(null);
  const wanted = useRef({ ask, isSeen, onFound });
  useEffect(() => {
    wanted.current = { ask, isSeen, onFound };
  });
  useEffect(() => {
    if (key === null || !queue) return;
    const cancelling = new AbortController();
    // How far it is comes by a way of its own, and may come after the answer.
    let isOver = false;
    const tell = (at: TaskState<T>) => {
      if (cancelling.signal.aborted || isOver) return;
      isOver = at.state !== 'working';
      setKept({ analysis, key, at });
    };
    const begin = () =>
      queue
        .run(
          {
            rig: analysis.rig,
            ask: (tasks) =>
              wanted.current.ask(
                tasks,
                proxy((tried: number, of: number) => tell({ state: 'working', tried, of })),
              ),
            isSeen: () => wanted.current.isSeen?.() ?? true,
            isLong,
          },
          cancelling.signal,
        )
        .then(
          (value) => {
            tell({ state: 'done', value });
            if (!cancelling.signal.aborted) wanted.current.onFound?.(value);
          },
          (error: unknown) =>
            tell({ state: 'failed', says: error instanceof Error ? error.message : String(error) }),
        );
    if (restMs === 0) {
      begin();
      return () => cancelling.abort();
    }
    const resting = setTimeout(begin, restMs);
    return () => {
      clearTimeout(resting);
      cancelling.abort();
    };
  }, [queue, analysis, key, isLong, restMs]);
  if (key === null) return IDLE;
  return kept?.analysis === analysis && kept.key === key ? kept.at : BEGUN;
};
