import { analyse, blankRig, type Rig } from '@echo-loom/core';
import type { Opened } from './log';
import { adoptBoxes, type Keep, keepBox } from './outbox';
import type { SaveAnswer, SavedEntry, SaveRequest, Stand } from './protocol';
import { openSession } from './session';
import type { RigSession } from './state';

/** A browser without a screen: its storage, its tabs, and a line to the server that can be cut. */

export class Storage implements Keep {
  private readonly items = new Map<string, string>();
  get length(): number {
    return this.items.size;
  }
  key(index: number): string | null {
    return [...this.items.keys()][index] ?? null;
  }
  getItem(key: string): string | null {
    return this.items.get(key) ?? null;
  }
  setItem(key: string, text: string): void {
    this.items.set(key, text);
  }
  removeItem(key: string): void {
    this.items.delete(key);
  }
}

/** The server as a browser reaches it. */
export interface Server {
  readonly open: () => Promise<Opened | null>;
  readonly send: (request: SaveRequest) => Promise<SaveAnswer>;
  readonly fetchAfter: (stand: Stand) => Promise<readonly SavedEntry[] | 'other log' | 'gone'>;
  readonly fetchBefore: (revision: number) => Promise<readonly SavedEntry[] | 'gone'>;
}

/** How the line is at the moment. */
export interface Line {
  isCut: boolean;
  /** How many of the next answers get lost on their way back */
  lostAnswers: number;
}

const NO_ANALYSIS = analyse(blankRig('Nothing'));
const DOWN = 'The server does not answer.';

export class Browser {
  readonly storage = new Storage();
  readonly line: Line = { isCut: false, lostAnswers: 0 };
  private tabs = 0;
  private entries = 0;

  constructor(
    readonly author: string,
    private readonly rigId: string,
    private readonly server: Server,
    /** Whether each edit is analysed, as a screen needs it */
    private readonly judge: (rig: Rig) => ReturnType<typeof analyse> = () => NO_ANALYSIS,
  ) {}

  private async over<T>(ask: () => Promise<T>): Promise<T> {
    if (this.line.isCut) throw new Error(DOWN);
    const answer = await ask();
    if (this.line.lostAnswers > 0) {
      this.line.lostAnswers--;
      throw new Error(DOWN);
    }
    return answer;
  }

  /** Opens the rig in a tab, and takes over what earlier tabs have left. */
  async open(): Promise<RigSession> {
    const opened = await this.server.open();
    if (!opened) throw new Error('the rig is not there');
    const tab = ++this.tabs;
    const tabId = `tab-${this.author}-${tab}`;
    /** A tab that was closed for this one says and keeps nothing any more. */
    const alive = <T>(ask: () => Promise<T>): Promise<T> =>
      this.tabs === tab ? this.over(ask) : new Promise(() => undefined);
    const session = openSession(
      opened,
      {
        author: this.author,
        newId: () => `${this.author}-entry-${++this.entries}`,
        send: (request) =>
          alive(() => this.server.send(JSON.parse(JSON.stringify(request)) as SaveRequest)),
        fetchAfter: (stand) => alive(() => this.server.fetchAfter(stand)),
        fetchBefore: (revision) => alive(() => this.server.fetchBefore(revision)),
        fetchWhole: () => alive(() => this.server.open()),
        keep: (box) => this.tabs !== tab || keepBox(this.storage, this.rigId, tabId, box),
        retryIn: () => undefined,
      },
      this.judge,
    );
    const left = adoptBoxes(this.storage, this.rigId, tabId, new Set());
    if (await session.adopt(left)) left.emptied();
    return session;
  }
}
