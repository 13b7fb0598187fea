import { Worker } from 'node:worker_threads';
import { Beside } from '../apart/beside';
import type { RigDigest } from './digest';

export interface ToJudge {
  readonly rigId: string;
  /** As JSON text */
  readonly document: string;
}
export type Judge = (rig: ToJudge) => Promise<RigDigest>;

const GIVEN_UP: RigDigest = {
  is: 'unreadable',
  why: 'It takes more memory or time than there is for one rig.',
};

const store = globalThis as typeof globalThis & { echoLoomJudge?: Judge };

/** Works a rig out in a thread of its own, one after the other. */
export const judge: Judge = (rig) => {
  if (!store.echoLoomJudge) {
    const beside = new Beside<ToJudge, RigDigest>({
      start: (resourceLimits) =>
        new Worker(new URL('./judge.worker.ts', import.meta.url), { resourceLimits }),
      givenUp: GIVEN_UP,
      memoryMb: 1024,
      longestMs: 60_000,
      idleMs: 120_000,
    });
    store.echoLoomJudge = (asked) => beside.ask(asked);
  }
  return store.echoLoomJudge(rig);
};
