import type { Analysis, Command, Rig, UndoState } from '@echo-loom/core';
import type { StoreApi } from 'zustand/vanilla';
import type { HistoryLine, Opened } from './log';
import type { Box, SetAside } from './outbox';
import type { RigEvent, SaveAnswer, SavedEntry, SaveRequest, Stand } from './protocol';

/** What a session shows, what can be done with it, and what it needs from its surroundings. */

/** Whether what is on the screen is in the database. */
export type SaveState =
  | { readonly state: 'saved' }
  | { readonly state: 'saving' }
  /** The server or its database does not answer; edits are kept and sent when it does */
  | { readonly state: 'waiting'; readonly says: string }
  | { readonly state: 'gone' };

export interface RigState {
  readonly rig: Rig;
  readonly analysis: Analysis;
  /** Saved entries and pending ones, oldest first, as far back as they were asked for */
  readonly history: readonly HistoryLine[];
  /** How many entries the log has before those */
  readonly earlier: number;
  readonly undo: UndoState<HistoryLine>;
  /** Whether there is, or may be in what is not known of the log, something to take back or do again */
  readonly may: Readonly<Record<'undo' | 'redo', boolean>>;
  readonly save: SaveState;
  readonly setAside: readonly SetAside[];
  /** Whether the browser keeps what is not saved; where it does not, only this page has it */
  readonly isKept: boolean;
  /** Why the last command was refused */
  readonly refusal: string | null;
}

export interface RigSession {
  readonly store: StoreApi<RigState>;
  /** Applies a command at once and sends it. @returns whether it was applied; a refusal is in the state */
  readonly run: (command: Command) => boolean;
  /** Takes the own last edit back; fetches what of the log it needs for that */
  readonly undo: () => void;
  readonly redo: () => void;
  readonly dismissRefusal: () => void;
  readonly dismissSetAside: (id: string) => void;
  /** Tries an edit once more that was set aside; where it still does not fit, it stays there */
  readonly retrySetAside: (id: string) => void;
  /** Takes in what the server tells of others' edits */
  readonly hear: (event: RigEvent) => void;
  /** Fetches what others have saved */
  readonly catchUp: () => Promise<void>;
  /** Sends what is pending now */
  readonly flush: () => Promise<void>;
  /** Fetches the page of the log before what is known */
  readonly loadEarlier: () => Promise<void>;
  /** Takes over what a tab that is gone has left. @returns whether it is in a box of this tab's own now */
  readonly adopt: (box: Box) => Promise<boolean>;
}

/** The server did not take a request, and would not take it again. */
export class NotUnderstood extends Error {
  override readonly name = 'NotUnderstood';
}

/** What a session needs from its surroundings; the browser gives fetch and storage, a test gives its own. */
export interface SessionDoor {
  readonly author: string;
  readonly newId: () => string;
  /**
   * @throws NotUnderstood when the request itself is refused
   * @throws Error when the server or its database does not answer; the message is shown
   */
  readonly send: (request: SaveRequest) => Promise<SaveAnswer>;
  /** Entries after a place in the log; `other log` where the server's log has no such place. @throws as `send` */
  readonly fetchAfter: (stand: Stand) => Promise<readonly SavedEntry[] | 'other log' | 'gone'>;
  /** The page of the log before a revision. @throws as `send` */
  readonly fetchBefore: (revision: number) => Promise<readonly SavedEntry[] | 'gone'>;
  /** The rig as the server has it now; null where it has none. @throws as `send` */
  readonly fetchWhole: () => Promise<Opened | null>;
  /** Keeps what is not saved. @returns false where it cannot */
  readonly keep: (box: Box) => boolean;
  /** Asks to be flushed again later */
  readonly retryIn: (ms: number) => void;
}
