import { parentPort } from 'node:worker_threads';
import type { Answered, Asked } from '../apart/beside';
import { digestOf, type RigDigest } from './digest';
import type { ToJudge } from './judge';

/** Works rigs out beside the request thread: a large one takes a second, in which nobody else would be answered. */
parentPort?.on('message', ({ id, asks: { rigId, document } }: Asked<ToJudge>) => {
  parentPort?.postMessage({ id, says: digestOf(rigId, document) } satisfies Answered<RigDigest>);
});
