import { Worker } from 'node:worker_threads';
import { problem, Refused } from '../answers';
import type { Answered, Asked, Read } from './reading';

/** Memory one file may take while it is read. @unit MB */
const MEMORY_MB = 768;
/** A file that takes longer is given up. @unit ms */
const LONGEST_MS = 30_000;
/** How long the reader waits for another file before it gives its memory back. @unit ms */
const IDLE_MS = 5_000;
/** Most files waiting to be read. */
const MAX_WAITING = 8;

const refused = (says: string): Read => ({ ok: false, problems: [{ path: 'file', says }] });

/** One reader, made when it is wanted; files go to it one after the other. */
class Reader {
  private worker: Worker | null = null;
  private last: Promise<unknown> = Promise.resolve();
  private waiting = 0;
  private count = 0;
  private idle: ReturnType<typeof setTimeout> | undefined;

  async read(bytes: Uint8Array<ArrayBuffer>): Promise<Read> {
    if (this.waiting >= MAX_WAITING) {
      throw new Refused(
        problem(503, 'Too many files are being read just now; try again in a moment.'),
      );
    }
    this.waiting++;
    const turn = this.last.then(() => this.one(bytes));
    this.last = turn.catch(() => undefined);
    return turn.finally(() => {
      this.waiting--;
    });
  }

  private one(bytes: Uint8Array<ArrayBuffer>): Promise<Read> {
    clearTimeout(this.idle);
    const worker = (this.worker ??= this.make());
    const id = ++this.count;
    return new Promise<Read>((done) => {
      const finish = (read: Read): void => {
        clearTimeout(timer);
        worker.off('message', onMessage);
        worker.off('error', onError);
        worker.off('exit', onExit);
        this.idle = setTimeout(() => this.end(), IDLE_MS).unref();
        done(read);
      };
      const onMessage = (answered: Answered): void => {
        if (answered.id === id) finish(answered.read);
      };
      const onError = (error: Error): void => {
        console.error(error);
        this.end();
        finish(refused('this file needs more memory or time than there is for one file'));
      };
      const onExit = (): void => onError(new Error('the reader ended'));
      const timer = setTimeout(() => onError(new Error('the reader took too long')), LONGEST_MS);
      worker.on('message', onMessage);
      worker.on('error', onError);
      worker.on('exit', onExit);
      worker.postMessage({ id, bytes } satisfies Asked, [bytes.buffer]);
    });
  }

  private make(): Worker {
    const worker = new Worker(new URL('./reader.worker.ts', import.meta.url), {
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
    });
    worker.unref();
    return worker;
  }

  private end(): void {
    const { worker } = this;
    this.worker = null;
    void worker?.terminate();
  }
}

const store = globalThis as typeof globalThis & { echoLoomReader?: Reader };

/**
 * Reads a rig's file beside the request thread.
 * @param bytes handed over: the caller has them no more
 * @throws Refused when too many are waiting
 */
export const readFileApart = (bytes: Uint8Array<ArrayBuffer>): Promise<Read> =>
  (store.echoLoomReader ??= new Reader()).read(bytes);
