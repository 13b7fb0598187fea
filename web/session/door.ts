import { readRig } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import { z } from 'zod';
import type { Opened } from './log';
import { authorId, keepBox } from './outbox';
import { revisionSchema, saveAnswerSchema, type SavedEntry, savedEntrySchema } from './protocol';
import { NotUnderstood, type SessionDoor } from './state';

const KEPT = 'Your edits are kept in this browser and will be saved when it does.';
const NO_SERVER = `The server does not answer. ${KEPT}`;
const NO_DATABASE = `The database does not answer. ${KEPT}`;
const OTHER_WORDS =
  'The server answers in a way this page does not understand. Your edits are kept in this browser; reload the page.';
/** A save that has had no answer for this long is tried again. @unit ms */
const ANSWER_WITHIN_MS = 10_000;

const refusalSchema = z.object({
  says: z.string(),
  problems: z.array(z.object({ path: z.string(), says: z.string() })).optional(),
});
const entriesSchema = z.object({ entries: z.array(savedEntrySchema) });
const wholeSchema = z.object({
  rig: z.unknown(),
  revision: revisionSchema,
  entries: z.array(z.custom<SavedEntry>(isObject)),
});

function isObject(value: unknown): boolean {
  return typeof value === 'object' && value !== null;
}

const ask = async (url: string, init?: RequestInit): Promise<Response> => {
  let response: Response;
  try {
    response = await fetch(url, {
      ...init,
      cache: 'no-store',
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    });
  } catch {
    throw new Error(NO_SERVER);
  }
  if (response.status === 503) {
    const busy = refusalSchema.safeParse(await response.json().catch(() => null));
    throw new Error(
      busy.success
        ? `${busy.data.says} ${KEPT.replace('when it does', 'as soon as it can be')}`
        : NO_DATABASE,
    );
  }
  if (response.status >= 500) throw new Error(NO_SERVER);
  return response;
};

/** A JSON answer as its schema reads it. @throws Error that says to reload where it does not */
const read = async <T>(response: Response, schema: z.ZodType<T>): Promise<T> => {
  const answer = schema.safeParse(await response.json().catch(() => null));
  if (!answer.success) throw new Error(OTHER_WORDS);
  return answer.data;
};

/** Why a request was refused, in the server's words. */
const refusalOf = async (response: Response): Promise<NotUnderstood> => {
  const refused = refusalSchema.safeParse(await response.json().catch(() => null));
  if (!refused.success) return new NotUnderstood('The server did not understand this edit.');
  const [problem] = refused.data.problems ?? [];
  return new NotUnderstood(
    problem ? `${refused.data.says} ${problem.path}: ${problem.says}` : refused.data.says,
  );
};

/** The session's way to the server and to the browser's storage. */
export const browserDoor = (
  rigId: string,
  tabId: string,
  retry: (ms: number) => void,
): SessionDoor => ({
  author: authorId(nanoid),
  newId: () => nanoid(),
  send: async (request) => {
    const headers = { 'content-type': 'application/json' };
    const response = await ask(`/api/rigs/${rigId}/entries`, {
      method: 'POST',
      headers,
      body: JSON.stringify(request),
    });
    if (response.status === 400 || response.status === 413) throw await refusalOf(response);
    return read(response, saveAnswerSchema);
  },
  fetchAfter: async ({ revision, entryId }) => {
    const is = entryId === null ? '' : `&is=${encodeURIComponent(entryId)}`;
    const response = await ask(`/api/rigs/${rigId}/entries?after=${revision}${is}`);
    if (response.status === 404) return 'gone';
    if (response.status === 409) return 'other log';
    return (await read(response, entriesSchema)).entries;
  },
  fetchBefore: async (revision) => {
    const response = await ask(`/api/rigs/${rigId}/entries?before=${revision}`);
    if (response.status === 404) return 'gone';
    return (await read(response, entriesSchema)).entries;
  },
  fetchWhole: async (): Promise<Opened | null> => {
    const response = await ask(`/api/rigs/${rigId}`);
    if (response.status === 404) return null;
    const { rig, revision, entries } = await read(response, wholeSchema);
    const document = readRig(rig);
    if (!document.ok) throw new Error(OTHER_WORDS);
    return { rig: document.rig, revision, entries };
  },
  keep: (box) => keepBox(localStorage, rigId, tabId, box),
  retryIn: retry,
});
