'use client';

import type { Answers, Built, Mains, Stock } from '@echo-loom/core';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Engine } from '@/workers/queue';
import { startEngine } from '@/workers/start';
import type { TaskState } from '@/workers/useTask';

interface Building {
  readonly at: TaskState<Built>;
  readonly begin: (answers: Answers) => Promise<Built | null>;
  readonly cancel: () => void;
}

/**
 * Builds a rig in a thread of its own, which ends with it. `begin` answers null where it was cancelled
 * or the thread failed; then `at` says why.
 */
export const useBuilding = (mains: Mains | null, stock: Stock): Building => {
  const [at, setAt] = useState<TaskState<Built>>({ state: 'idle' });
  const engine = useRef<Engine | null>(null);
  const end = () => {
    engine.current?.end();
    engine.current = null;
  };
  useEffect(() => end, []);
  return {
    at,
    begin: (answers) => {
      end();
      const mine = startEngine();
      engine.current = mine;
      setAt({ state: 'working', tried: 0, of: 0 });
      return new Promise((resolve) => {
        const isMine = () => engine.current === mine;
        const settle = (next: TaskState<Built>, built: Built | null) => {
          if (isMine()) {
            end();
            setAt(next);
          }
          resolve(built);
        };
        const fail = (error: unknown) =>
          settle(
            { state: 'failed', says: error instanceof Error ? error.message : String(error) },
            null,
          );
        mine.onFailure(fail);
        mine.tasks
          .build(
            answers,
            mains,
            stock,
            proxy((tried: number, of: number) => {
              if (isMine()) setAt({ state: 'working', tried, of });
            }),
          )
          .then((built) => settle({ state: 'done', value: built }, built), fail);
      });
    },
    cancel: () => {
      end();
      setAt({ state: 'idle' });
    },
  };
};
