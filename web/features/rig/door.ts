import { nanoid } from 'nanoid';
import { authorId, keepPending } from './outbox';
import type { SavedEntry, SaveAnswer } from './protocol';
import type { SessionDoor } from './session';

const NO_SERVER = 'The server does not answer. Your edits are kept in this browser and will be saved when it does.';
const NO_DATABASE = 'The database does not answer. Your edits are kept in this browser and will be saved when it does.';
/** A save that has had no answer for this long is tried again. @unit ms */
const ANSWER_WITHIN_MS = 10_000;

const ask = async (url: string, init?: RequestInit): Promise<Response> => {
  let response: Response;
  try {
    response = await fetch(url, { ...init, cache: 'no-store', signal: AbortSignal.timeout(ANSWER_WITHIN_MS) });
  } catch {
    throw new Error(NO_SERVER);
  }
  if (response.status === 503) throw new Error(NO_DATABASE);
  if (response.status >= 500) throw new Error(NO_SERVER);
  return response;
};

/** The session's way to the server and to the browser's storage. */
export const browserDoor = (rigId: string, tabId: string, retry: (ms: number) => void): SessionDoor => ({
  author: authorId(nanoid),
  newId: () => nanoid(),
  send: async (request) => {
    const response = await ask(`/api/rigs/${rigId}/entries`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(request) });
    if (response.status === 400 || response.status === 413) throw new Error('The server did not understand this edit. It is kept in this browser.');
    return (await response.json()) as SaveAnswer;
  },
  fetchAfter: async (revision) => {
    const response = await ask(`/api/rigs/${rigId}/entries?after=${revision}`);
    if (response.status === 404) return null;
    return ((await response.json()) as { entries: SavedEntry[] }).entries;
  },
  keep: (pending) => void keepPending(rigId, tabId, pending),
  retryIn: retry,
});
