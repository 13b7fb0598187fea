import type { Rig } from '@echo-loom/core';
import type { Remote } from 'comlink';
import { changesOf } from './rig-changes';
import type { EngineTasks } from './tasks';

/** A running engine. */
export interface Engine {
  readonly tasks: Remote<EngineTasks>;
  readonly end: () => void;
  /** Called where the engine itself fails, which no answer would tell */
  readonly onFailure: (fail: (error: Error) => void) => void;
}
export type StartEngine = () => Engine;

export interface Task<T> {
  /** The rig it is about */
  readonly rig: Rig;
  readonly ask: (tasks: Remote<EngineTasks>) => Promise<T>;
  /** Whether it is looked at just now: what is seen goes first */
  readonly isSeen: () => boolean;
  /** A long search is ended when it is cancelled; what is soon done is asked to stop, and may run on unheard */
  readonly isLong: boolean;
}

interface Waiting {
  readonly task: Task<unknown>;
  readonly signal: AbortSignal;
  readonly settle: (answer: Promise<unknown>) => void;
  readonly fail: (error: unknown) => void;
}

const cancelled = (): DOMException => new DOMException('No longer wanted', 'AbortError');

/** One task at a time, so that what is seen need not wait for what is not. Used by `useTask`. */
export class EngineQueue {
  private engine: Engine | null = null;
  /** The rig the engine has */
  private given: Rig | null = null;
  private readonly waiting: Waiting[] = [];
  private running: Waiting | null = null;

  constructor(private readonly start: StartEngine) {}

  /** Works a task out. @throws AbortError where it is cancelled; what the task throws otherwise */
  run<T>(task: Task<T>, signal: AbortSignal): Promise<T> {
    if (signal.aborted) return Promise.reject(cancelled());
    return new Promise<T>((resolve, reject) => {
      const entry: Waiting = {
        task,
        signal,
        // The answer is that of this very task.
        settle: (answer) => resolve(answer as Promise<T>),
        fail: reject,
      };
      this.waiting.push(entry);
      signal.addEventListener('abort', () => this.cancel(entry), { once: true });
      this.next();
    });
  }

  /** Ends the engine; what waits is cancelled. */
  end(): void {
    for (const entry of this.waiting.splice(0)) entry.fail(cancelled());
    this.running?.fail(cancelled());
    this.running = null;
    this.drop();
  }

  private cancel(entry: Waiting): void {
    const place = this.waiting.indexOf(entry);
    if (place >= 0) this.waiting.splice(place, 1);
    entry.fail(cancelled());
    if (this.running !== entry) return;
    if (!entry.task.isLong) {
      // What stops on the way makes room for what is wanted now; whether it has heard is of no account.
      Promise.resolve(this.engine?.tasks.stop()).catch(() => undefined);
      return;
    }
    this.drop();
    this.running = null;
    this.next();
  }

  private drop(): void {
    this.engine?.end();
    this.engine = null;
    this.given = null;
  }

  private next(): void {
    if (this.running || this.waiting.length === 0) return;
    const seen = this.waiting.findIndex(({ task }) => task.isSeen());
    const [entry] = this.waiting.splice(Math.max(0, seen), 1);
    if (!entry) return;
    this.running = entry;
    void this.work(entry);
  }

  private async work(entry: Waiting): Promise<void> {
    const { task } = entry;
    try {
      const { tasks } = this.present();
      if (this.given !== task.rig) {
        const changes = changesOf(this.given, task.rig);
        this.given = task.rig;
        await tasks.follow(changes);
      }
      const answer = await task.ask(tasks);
      entry.settle(Promise.resolve(answer));
    } catch (error) {
      // What failed half-way may have left the engine with half a rig.
      if (this.running === entry) this.drop();
      entry.fail(error);
    }
    if (this.running !== entry) return;
    this.running = null;
    this.next();
  }

  private present(): Engine {
    if (this.engine) return this.engine;
    const engine = this.start();
    engine.onFailure((error) => {
      if (this.engine !== engine) return;
      const { running } = this;
      this.drop();
      this.running = null;
      running?.fail(error);
      this.next();
    });
    this.engine = engine;
    return engine;
  }
}
