import { wrap } from 'comlink';
import type { StartEngine } from './queue';
import type { EngineTasks } from './tasks';

/** Starts the engine's worker. Only in a browser. */
export const startEngine: StartEngine = () => {
  const worker = new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' });
  return {
    tasks: wrap<EngineTasks>(worker),
    end: () => worker.terminate(),
    onFailure: (fail) => {
      worker.onerror = (event) => fail(new Error(event.message || 'The engine stopped'));
    },
  };
};
