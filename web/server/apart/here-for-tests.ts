import { digestOf } from '../digests/digest';
import type { Judge } from '../digests/judge';
import { read } from '../reading/read';
import type { Question, Reading } from '../reading/reading';

/** Does here what the server does in its workers: those are bundled with the application, and a test is not. */
export const workHere = (): void => {
  const store = globalThis as typeof globalThis & {
    echoLoomJudge?: Judge;
    echoLoomReader?: { waiting: number; ask: (asks: Question) => Promise<Reading> };
  };
  store.echoLoomJudge = ({ rigId, document }) => Promise.resolve(digestOf(rigId, document));
  store.echoLoomReader = { waiting: 0, ask: (asks) => Promise.resolve(read(asks)) };
};
