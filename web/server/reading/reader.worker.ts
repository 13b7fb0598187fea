import { parentPort } from 'node:worker_threads';
import type { Answered, Asked } from '../apart/beside';
import { read } from './read';
import type { Question, Reading } from './reading';

/**
 * Reads files beside the request thread: parsing a large one takes a second, in which nobody else
 * would be answered.
 */
parentPort?.on('message', ({ id, asks }: Asked<Question>) => {
  parentPort?.postMessage({ id, says: read(asks) } satisfies Answered<Reading>);
});
