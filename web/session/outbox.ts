import { readCommand, Refusal, RIG_VERSION, upgradeCommand } from '@echo-loom/core';
import { z } from 'zod';
import { givenIdSchema, PAGE_VERSION, type Pending } from './protocol';

/**
 * Edits that the server has not confirmed, and edits that were set aside, kept in the browser so that neither a closed
 * tab nor a lost server loses them. Each tab has a box of its own; a tab that opens a rig adopts the boxes of tabs that
 * are gone. Adopting twice does no harm: the server knows an entry by its id. What cannot be read is never deleted: it
 * is adopted as set aside, with its text.
 */

/** An edit that could not be applied. Shown until it is dismissed, also after a reload; never dropped in silence. */
export interface SetAside {
  readonly id: string;
  readonly says: string;
  readonly why: string;
  /** The edit as it was kept: a command, or the text that could not be read */
  readonly kept: unknown;
}

export interface Box {
  readonly pending: readonly Pending[];
  readonly setAside: readonly SetAside[];
}

/** Where boxes are kept: the browser's storage, or a test's. */
export type Keep = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

const PREFIX = 'echo-loom.outbox.';
const boxKey = (rigId: string, tabId: string): string => `${PREFIX}${rigId}.${tabId}`;
const lockName = (tabId: string): string => `${PREFIX}${tabId}`;

/** Boxes of before version 6 of the outbox were a list of what is pending, and said no version. */
const FIRST_VERSION = 5;
const boxSchema = z.object({ pending: z.array(z.unknown()), setAside: z.array(z.unknown()) });
const pendingSchema = z.object({
  id: givenIdSchema,
  author: givenIdSchema,
  version: z.number().default(FIRST_VERSION),
  command: z.unknown(),
});
const setAsideSchema = z.object({
  id: z.string(),
  says: z.string(),
  why: z.string(),
  kept: z.unknown(),
});

const UNREADABLE = 'This edit was kept in this browser and can no longer be read.';

/** The id under which something unreadable is shown: the same for the same text. */
const idOf = (key: string, place: number): string => `unread-${key.slice(-12)}-${place}`;

const labelOf = (command: unknown): string => {
  const type = z.object({ type: z.string() }).safeParse(command);
  return type.success ? `A kept edit (${type.data.type}).` : 'A kept edit.';
};

/** A pending edit as it was kept. An undo of before carried what it puts back; the log knows it better. */
const readPending = (kept: unknown, id: string): { pending: Pending } | { aside: SetAside } => {
  const item = pendingSchema.safeParse(kept);
  if (!item.success) return { aside: { id, says: labelOf(kept), why: UNREADABLE, kept } };
  const { version, author, command } = item.data;
  try {
    return {
      pending: {
        id: item.data.id,
        author,
        version: PAGE_VERSION,
        command: readCommand(upgradeCommand(withoutChanges(command), version)),
      },
    };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const older = version < RIG_VERSION ? ' It was made with an earlier version of Echo Loom.' : '';
    return {
      aside: { id: item.data.id, says: labelOf(command), why: `${error.message}${older}`, kept },
    };
  }
};

const withoutChanges = (command: unknown): unknown => {
  const revert = z
    .object({ type: z.literal('revert'), does: z.unknown(), entryId: z.unknown() })
    .safeParse(command);
  return revert.success ? revert.data : command;
};

/** Everything in a box, entry by entry. What is not understood comes back as set aside. */
const readBox = (key: string, text: string): Box => {
  let kept: unknown;
  try {
    kept = JSON.parse(text);
  } catch {
    kept = null;
  }
  const box = boxSchema.safeParse(Array.isArray(kept) ? { pending: kept, setAside: [] } : kept);
  if (!box.success) {
    return {
      pending: [],
      setAside: [{ id: idOf(key, 0), says: 'Kept edits.', why: UNREADABLE, kept: text }],
    };
  }
  const pending: Pending[] = [];
  const setAside: SetAside[] = [];
  box.data.pending.forEach((item, place) => {
    const read = readPending(item, idOf(key, place));
    if ('pending' in read) pending.push(read.pending);
    else setAside.push(read.aside);
  });
  box.data.setAside.forEach((item, place) => {
    const read = setAsideSchema.safeParse(item);
    const says = { id: idOf(key, -1 - place), says: 'A kept edit.', why: UNREADABLE, kept: item };
    setAside.push(read.success ? { ...read.data, kept: read.data.kept } : says);
  });
  return { pending, setAside };
};

/**
 * Writes a tab's box.
 * @returns false where the browser keeps nothing (private window, full disk): then only this page has the edits
 */
export const keepBox = (
  keep: Keep,
  rigId: string,
  tabId: string,
  { pending, setAside }: Box,
): boolean => {
  try {
    if (pending.length === 0 && setAside.length === 0) keep.removeItem(boxKey(rigId, tabId));
    else keep.setItem(boxKey(rigId, tabId), JSON.stringify({ pending, setAside }));
    return true;
  } catch {
    return false;
  }
};

/** Marks this tab as alive for as long as it is open. */
export const holdTab = (tabId: string): void => {
  void navigator.locks?.request(lockName(tabId), () => new Promise(() => undefined));
};

/** Ids of the tabs that are open, as far as the browser can say. */
export const liveTabs = async (): Promise<ReadonlySet<string>> => {
  const held = (await navigator.locks?.query())?.held ?? [];
  return new Set(
    held.flatMap(({ name }) => (name?.startsWith(PREFIX) ? [name.slice(PREFIX.length)] : [])),
  );
};

export interface Adopted extends Box {
  /** Empties the boxes; to be called once what was in them is in the caller's own */
  readonly emptied: () => void;
}

/** What tabs that are gone have left for a rig, this tab's own box included. Nothing is deleted by reading it. */
export const adoptBoxes = (
  keep: Keep,
  rigId: string,
  tabId: string,
  live: ReadonlySet<string>,
): Adopted => {
  const prefix = `${PREFIX}${rigId}.`;
  const keys = Array.from({ length: keep.length }, (_, index) => keep.key(index)).filter((key) => {
    if (!key?.startsWith(prefix)) return false;
    const owner = key.slice(prefix.length);
    return owner === tabId || !live.has(owner);
  });
  const boxes = keys.flatMap((key) =>
    key === null ? [] : [{ key, text: keep.getItem(key) ?? '' }],
  );
  const read = boxes.map(({ key, text }) => readBox(key, text));
  return {
    pending: read.flatMap(({ pending }) => pending),
    setAside: read.flatMap(({ setAside }) => setAside),
    emptied: () => {
      for (const { key, text } of boxes) {
        if (key !== boxKey(rigId, tabId) && keep.getItem(key) === text) keep.removeItem(key);
      }
    },
  };
};

/** Who edits: one id a browser, so that undo still knows its own edits after a reload. */
export const authorId = (make: () => string): string => {
  const key = 'echo-loom.author';
  try {
    const known = localStorage.getItem(key);
    if (known && givenIdSchema.safeParse(known).success) return known;
    const fresh = make();
    localStorage.setItem(key, fresh);
    return fresh;
  } catch {
    return make();
  }
};
