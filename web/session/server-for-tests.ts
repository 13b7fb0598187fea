import {
  applyTracked,
  type AskedCommand,
  blankRig,
  type Command,
  readCommand,
  Refusal,
  revertOf,
  type Rig,
  RIG_VERSION,
  sentence,
} from '@echo-loom/core';
import type { Box } from './outbox';
import type { SaveAnswer, SavedEntry, SaveRequest, Stand } from './protocol';
import { openSession } from './session';
import { NotUnderstood, type RigSession } from './state';

/**
 * A server in memory that keeps one rig and its log, as the real one does; it can be stopped, and
 * others can save to it.
 */
export class Server {
  rig: Rig;
  log: SavedEntry[] = [];
  isDown = false;
  isDeleted = false;
  version = RIG_VERSION;
  readonly refuses = new Set<string>();
  /** Ids of entries for which it does not understand the whole request */
  readonly chokesOn = new Set<string>();
  readonly requests: SaveRequest[] = [];
  retries = 0;
  answersLate = false;
  readonly late: (() => void)[] = [];
  /** Ids given so far, in every page that was opened */
  private ids = 0;
  /** How many entries a page of the log holds */
  page = Infinity;
  /** How often an earlier page was asked for */
  pages = 0;
  /** How often the whole rig was asked for */
  wholes = 0;
  kept: Box = { pending: [], setAside: [] };
  keeps = true;
  constructor(name: string) {
    this.rig = blankRig(name);
  }
  save(id: string, author: string, command: Command): void {
    const { rig, changes } = applyTracked(this.rig, command);
    const at = '2026-11-25T03:00:00.000Z';
    this.log.push({
      revision: this.log.length + 1,
      id,
      author,
      version: RIG_VERSION,
      command,
      changes,
      says: sentence(this.rig, command),
      at,
    });
    this.rig = rig;
  }
  private completed(command: AskedCommand): Command {
    if (command.type !== 'revert') return command;
    const entry = this.log.find(({ id }) => id === command.entryId);
    if (!entry) throw new Refusal('not in the log');
    return revertOf(entry, command.does);
  }
  private knows({ revision, entryId }: Stand): boolean {
    return revision <= this.log.length && (this.log[revision - 1]?.id ?? null) === entryId;
  }
  private answer(request: SaveRequest): SaveAnswer {
    this.requests.push(request);
    const { on, entries, version } = request;
    if (this.isDeleted) return { status: 'gone' };
    if (version !== this.version) return { status: 'other version', version: this.version };
    if (!this.knows(on)) return { status: 'other log' };
    if (entries.some(({ id }) => this.chokesOn.has(id)))
      throw new NotUnderstood('That is not understood.');
    const refused: { id: string; why: string }[] = [];
    const done: string[] = [];
    for (const { id, author, command } of entries) {
      if (this.refuses.has(id)) refused.push({ id, why: 'The server knows better.' });
      else if (this.log.some((entry) => entry.id === id)) done.push(id);
      else
        try {
          this.save(id, author, this.completed(readCommand(command)));
        } catch (error) {
          refused.push({ id, why: error instanceof Error ? error.message : '' });
        }
    }
    return { status: 'taken', entries: this.log.slice(on.revision), refused, done };
  }
  private whenUp<T>(answer: () => T): Promise<T> {
    if (this.isDown) return Promise.reject(new Error('The server does not answer.'));
    try {
      return Promise.resolve(answer());
    } catch (error) {
      return Promise.reject(error as Error);
    }
  }
  /** Makes its answer now and hands it over later, where answers are late. */
  private async later<T>(answer: () => T): Promise<T> {
    const made = await this.whenUp(answer);
    if (this.answersLate) await new Promise<void>((done) => this.late.push(done));
    return made;
  }
  private whole() {
    return {
      rig: this.rig,
      revision: this.log.length,
      entries: this.log.slice(Math.max(0, this.log.length - this.page)),
    };
  }
  open(author: string): RigSession {
    return openSession(this.whole(), {
      author,
      newId: () => `${author}-entry-${++this.ids}`,
      keep: (box) => {
        this.kept = JSON.parse(JSON.stringify(box)) as Box;
        return this.keeps;
      },
      retryIn: () => {
        this.retries++;
      },
      send: (request) =>
        this.whenUp(() => this.answer(JSON.parse(JSON.stringify(request)) as SaveRequest)),
      fetchAfter: (stand) =>
        this.whenUp(() =>
          this.isDeleted
            ? 'gone'
            : this.knows(stand)
              ? this.log.slice(stand.revision)
              : 'other log',
        ),
      fetchBefore: (revision) =>
        this.whenUp(
          () => (
            this.pages++,
            this.isDeleted
              ? 'gone'
              : this.log.slice(Math.max(0, revision - 1 - this.page), revision - 1)
          ),
        ),
      fetchWhole: () => this.later(() => (this.wholes++, this.isDeleted ? null : this.whole())),
    });
  }
}

export const addPlace = (placeId: string): Command => ({
  type: 'addPlace',
  placeId,
  place: { name: placeId },
});

export const places = ({ store }: RigSession): string[] => Object.keys(store.getState().rig.places);
