import { commandSchema } from '@echo-loom/core';
import { z } from 'zod';

/**
 * Edits that the server has not confirmed, kept in the browser so that neither a closed tab nor a lost server loses them. Each tab has a box of
 * its own; a tab that opens a rig adopts the boxes of tabs that are gone. Adopting twice does no harm: the server knows an entry by its id.
 */

const pendingSchema = z.strictObject({ id: z.string(), author: z.string(), command: commandSchema });
export type Pending = z.infer<typeof pendingSchema>;

const PREFIX = 'echo-loom.outbox.';
const boxKey = (rigId: string, tabId: string): string => `${PREFIX}${rigId}.${tabId}`;
const lockName = (tabId: string): string => `${PREFIX}${tabId}`;

const read = (key: string): Pending[] => {
  try {
    const parsed = z.array(pendingSchema).safeParse(JSON.parse(localStorage.getItem(key) ?? '[]'));
    return parsed.success ? parsed.data : [];
  } catch {
    return [];
  }
};

/** Writes what is pending. @returns false where the browser keeps nothing (private window, full disk): then only this page has it */
export const keepPending = (rigId: string, tabId: string, pending: readonly Pending[]): boolean => {
  try {
    if (pending.length === 0) localStorage.removeItem(boxKey(rigId, tabId));
    else localStorage.setItem(boxKey(rigId, tabId), JSON.stringify(pending.map(({ id, author, command }) => ({ id, author, command }))));
    return true;
  } catch {
    return false;
  }
};

/** Marks this tab as alive for as long as it is open. */
export const holdTab = (tabId: string): void => {
  void navigator.locks?.request(lockName(tabId), () => new Promise(() => undefined));
};

/** Takes over what tabs that are gone have left for a rig, this tab's own box included. */
export const adoptPending = async (rigId: string, tabId: string): Promise<Pending[]> => {
  const adopted: Pending[] = [];
  const prefix = `${PREFIX}${rigId}.`;
  const held = new Set((await navigator.locks?.query())?.held?.map((lock) => lock.name));
  const keys = Array.from({ length: localStorage.length }, (_, index) => localStorage.key(index)).filter((key): key is string => key?.startsWith(prefix) ?? false);
  for (const key of keys) {
    const owner = key.slice(prefix.length);
    if (owner !== tabId && held.has(lockName(owner))) continue;
    adopted.push(...read(key));
    localStorage.removeItem(key);
  }
  return adopted;
};

/** Who edits: one id a browser, so that undo still knows its own edits after a reload. */
export const authorId = (make: () => string): string => {
  const key = 'echo-loom.author';
  try {
    const known = localStorage.getItem(key);
    if (known && /^[\w-]{8,64}$/.test(known)) return known;
    const fresh = make();
    localStorage.setItem(key, fresh);
    return fresh;
  } catch {
    return make();
  }
};
