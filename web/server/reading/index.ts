import { Worker } from 'node:worker_threads';
import { problem, Refused } from '../answers';
import { Beside } from '../apart/beside';
import type { Question, Reading } from './reading';

/** Most files waiting to be read. */
const MAX_WAITING = 8;

const store = globalThis as typeof globalThis & { echoLoomReader?: Beside<Question, Reading> };

const reader = (): Beside<Question, Reading> =>
  (store.echoLoomReader ??= new Beside<Question, Reading>({
    start: (resourceLimits) =>
      new Worker(new URL('./reader.worker.ts', import.meta.url), { resourceLimits }),
    givenUp: { is: 'given up' },
    memoryMb: 768,
    longestMs: 30_000,
    idleMs: 5_000,
  }));

/**
 * Reads what came from outside beside the request thread: a rig's file, a list of things.
 * @param handedOver the bytes in the question: the caller has them no more
 * @throws Refused when too many are waiting, or it took more memory or time than there is for one
 */
export const readApart = async <Is extends Question['is']>(
  question: Extract<Question, { is: Is }>,
  handedOver: readonly ArrayBuffer[] = [],
): Promise<Extract<Reading, { is: Is }>> => {
  const all = reader();
  if (all.waiting >= MAX_WAITING)
    throw new Refused(
      problem(503, 'Too many files are being read just now; try again in a moment.'),
    );
  const read = await all.ask(question, handedOver);
  if (read.is === question.is) return read as Extract<Reading, { is: Is }>;
  throw new Refused(
    problem(413, 'This file needs more memory or time than there is for one file.'),
  );
};
