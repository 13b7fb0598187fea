import type { Worker } from 'node:worker_threads';

/** What is asked of a worker beside the request thread, and what it answers: each with the number of the question. */
export interface Asked<Q> {
  readonly id: number;
  readonly asks: Q;
}
export interface Answered<A> {
  readonly id: number;
  readonly says: A;
}

export interface Terms<A> {
  readonly start: (limits: { readonly maxOldGenerationSizeMb: number }) => Worker;
  /** What is said of a question that took too much memory or time */
  readonly givenUp: A;
  /** Most memory the worker may take. @unit MB */
  readonly memoryMb: number;
  /** A question that takes longer is given up. @unit ms */
  readonly longestMs: number;
  /** How long the worker waits for another question before it gives its memory back. @unit ms */
  readonly idleMs: number;
}

/** One worker, made when it is wanted; questions go to it one after the other, in the order they come. */
export class Beside<Q, A> {
  private worker: Worker | null = null;
  private last: Promise<unknown> = Promise.resolve();
  private count = 0;
  private idle: ReturnType<typeof setTimeout> | undefined;
  /** How many questions are not answered yet */
  waiting = 0;

  constructor(private readonly terms: Terms<A>) {}

  /** @param handedOver buffers in the question that the caller has no more */
  ask(asks: Q, handedOver: readonly ArrayBuffer[] = []): Promise<A> {
    this.waiting++;
    const turn = this.last.then(() => this.one(asks, handedOver));
    this.last = turn.catch(() => undefined);
    return turn.finally(() => {
      this.waiting--;
    });
  }

  private one(asks: Q, handedOver: readonly ArrayBuffer[]): Promise<A> {
    clearTimeout(this.idle);
    const { memoryMb, longestMs, idleMs, givenUp } = this.terms;
    const worker = (this.worker ??= this.make(memoryMb));
    const id = ++this.count;
    return new Promise<A>((done) => {
      const finish = (says: A): void => {
        clearTimeout(timer);
        worker.off('message', onMessage);
        worker.off('error', onError);
        worker.off('exit', onExit);
        this.idle = setTimeout(() => this.end(), idleMs).unref();
        done(says);
      };
      const onMessage = (answered: Answered<A>): void => {
        if (answered.id === id) finish(answered.says);
      };
      const onError = (error: Error): void => {
        console.error(error);
        this.end();
        finish(givenUp);
      };
      const onExit = (): void => onError(new Error('the worker ended'));
      const timer = setTimeout(() => onError(new Error('the worker took too long')), longestMs);
      worker.on('message', onMessage);
      worker.on('error', onError);
      worker.on('exit', onExit);
      worker.postMessage({ id, asks } satisfies Asked<Q>, [...handedOver]);
    });
  }

  private make(memoryMb: number): Worker {
    const worker = this.terms.start({ maxOldGenerationSizeMb: memoryMb });
    worker.unref();
    return worker;
  }

  private end(): void {
    const { worker } = this;
    this.worker = null;
    void worker?.terminate();
  }
}
