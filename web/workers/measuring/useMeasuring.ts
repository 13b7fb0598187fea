import { proxy, type Remote, wrap } from 'comlink';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import type { OnProgress } from './progress';
import type { MeasuringTasks } from './tasks';

export type Measured<T> =
  | { readonly state: 'idle' }
  | { readonly state: 'running'; readonly share: number }
  | { readonly state: 'failed'; readonly says: string }
  | { readonly state: 'done'; readonly value: T };

type Ask<T> = (tasks: Remote<MeasuringTasks>, tell: OnProgress) => Promise<T>;

/**
 * Something measured of files, in a worker of its own. What is begun anew, cancelled or left ends the
 * one before.
 */
export const useMeasuring = <T>(): {
  readonly at: Measured<T>;
  readonly begin: (ask: Ask<T>) => void;
  readonly cancel: () => void;
} => {
  const [at, setAt] = useState<Measured<T>>({ state: 'idle' });
  const running = useRef<Worker | null>(null);
  const end = useCallback(() => {
    running.current?.terminate();
    running.current = null;
  }, []);
  useEffect(() => end, [end]);
  const begin = useCallback(
    (ask: Ask<T>) => {
      end();
      const worker = new Worker(new URL('./measuring.worker.ts', import.meta.url), {
        type: 'module',
      });
      running.current = worker;
      const isOurs = () => running.current === worker;
      const finish = (next: Measured<T>) => {
        if (!isOurs()) return;
        end();
        // Drawn between other work: what was found may be long tables.
        startTransition(() => setAt(next));
      };
      setAt({ state: 'running', share: 0 });
      worker.onerror = (event) =>
        finish({ state: 'failed', says: event.message || 'Measuring stopped.' });
      const tell = proxy((share: number) => {
        if (isOurs()) setAt({ state: 'running', share });
      });
      ask(wrap<MeasuringTasks>(worker), tell).then(
        (value) => finish({ state: 'done', value }),
        (error: unknown) =>
          finish({ state: 'failed', says: error instanceof Error ? error.message : String(error) }),
      );
    },
    [end],
  );
  const cancel = useCallback(() => {
    end();
    setAt({ state: 'idle' });
  }, [end]);
  return { at, begin, cancel };
};
