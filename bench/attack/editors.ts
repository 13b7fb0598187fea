import { type Command, type Rig, rigToJson } from '@echo-loom/core';
import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { sleep } from '../../e2e/served';
import { Browser, type Server } from '../../web/session/browser-for-tests';
import type { Opened } from '../../web/session/log';
import {
  type RigEvent,
  rigEventSchema,
  saveAnswerSchema,
  type SavedEntry,
  savedEntrySchema,
} from '../../web/session/protocol';
import type { RigSession } from '../../web/session/state';

/** A rig's server over HTTP, as a page reaches it. */
export const overHttp = (url: string, rigId: string): Server => {
  const ask = async (path: string, init?: RequestInit): Promise<Response> => {
    const response = await fetch(`${url}/api/rigs/${rigId}${path}`, {
      ...init,
      signal: AbortSignal.timeout(10_000),
    });
    if (response.status >= 500) throw new Error(`HTTP ${response.status}`);
    return response;
  };
  const entriesIn = async (response: Response): Promise<SavedEntry[]> => {
    const { entries } = (await response.json()) as { entries: unknown[] };
    return entries.map((entry): SavedEntry => savedEntrySchema.parse(entry));
  };
  return {
    open: async () => {
      const response = await ask('');
      return response.ok ? ((await response.json()) as Opened) : null;
    },
    send: async (request) => {
      const headers = { 'content-type': 'application/json' };
      const response = await ask('/entries', {
        method: 'POST',
        headers,
        body: JSON.stringify(request),
      });
      return saveAnswerSchema.parse(await response.json());
    },
    fetchAfter: async ({ revision, entryId }) => {
      const response = await ask(`/entries?after=${revision}${entryId ? `&is=${entryId}` : ''}`);
      if (response.status === 404) return 'gone';
      if (response.status === 409) return 'other log';
      return entriesIn(response);
    },
    fetchBefore: async (revision) => {
      const response = await ask(`/entries?before=${revision}`);
      return response.status === 404 ? 'gone' : entriesIn(response);
    },
  };
};

/**
 * The forty browsers of this bench are one process, and the machine's two cores also carry the server and the
 * database. A line that all of them hear is parsed once: a real browser parses it on a machine of its own.
 */
const heardLines = new Map<string, RigEvent>();
const parseLine = (line: string): RigEvent => {
  const known = heardLines.get(line) ?? rigEventSchema.parse(JSON.parse(line));
  heardLines.set(line, known);
  if (heardLines.size > 200) heardLines.clear();
  return known;
};

/** Hears a rig's event stream until told to stop. */
const listen = async (
  url: string,
  rigId: string,
  session: RigSession,
  stop: AbortSignal,
): Promise<void> => {
  const response = await fetch(`${url}/api/events?rig=${rigId}`, { signal: stop });
  const decoder = new TextDecoder();
  let text = '';
  for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
    text += decoder.decode(chunk, { stream: true });
    const lines = text.split('\n');
    text = lines.pop() ?? '';
    for (const line of lines) {
      if (line.startsWith('data: ')) session.hear(parseLine(line.slice(6)));
    }
  }
};

/** Puts a rig's file on the shelf as a rig of its own. @returns its id */
export const putOnShelf = async (url: string, file: string): Promise<string> => {
  const headers = { 'content-type': 'application/octet-stream' };
  const response = await fetch(`${url}/api/rigs/import`, {
    method: 'POST',
    headers,
    body: readFileSync(file),
  });
  return z.object({ id: z.string() }).parse(await response.json()).id;
};

export interface EditorsResult {
  readonly edits: number;
  readonly lost: number;
  readonly twice: number;
  readonly diverged: number;
  readonly p50Ms: number;
  readonly p95Ms: number;
  readonly maxMs: number;
}

const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;

/** Edits as people make them: mostly changes of what is there, now and then something new; no two are the same. */
const commandFor = (rig: Rig, editor: number, n: number): Command => {
  const text = `Editor ${editor}, edit ${n}`;
  const devices = Object.keys(rig.devices);
  const deviceId = devices[(editor * 7 + n) % devices.length] ?? '';
  switch (n % 4) {
    case 0:
      return { type: 'addPlace', placeId: `e-${editor}-${n}`, place: { name: text } };
    case 1:
      return { type: 'renameRig', name: text };
    default:
      return { type: 'renameDevice', deviceId, name: text };
  }
};

/**
 * Many people on one rig, each with an edit now and then; how long an edit takes until the page says that it is saved.
 * @param urls instances; editors are spread over them
 * @param everyMs between two edits of one editor
 */
export const editTogether = async (
  urls: readonly string[],
  rigId: string,
  editors: number,
  seconds: number,
  everyMs: number,
): Promise<EditorsResult> => {
  const stop = new AbortController();
  const times: number[] = [];
  const typed: string[] = [];
  const open = async (editor: number) => {
    const url = urls[editor % urls.length] ?? '';
    const session = await new Browser(
      `editor-${String(editor).padStart(3, '0')}-${Date.now()}`,
      rigId,
      overHttp(url, rigId),
    ).open();
    listen(url, rigId, session, stop.signal).catch(() => undefined);
    return session;
  };
  const sessions: RigSession[] = [];
  for (let editor = 0; editor < editors; editor++) sessions.push(await open(editor));

  const saved = (session: RigSession): Promise<void> =>
    new Promise((done) => {
      const look = () => session.store.getState().save.state === 'saved' && (unsubscribe(), done());
      const unsubscribe = session.store.subscribe(look);
      look();
    });
  const edit = async (session: RigSession, editor: number): Promise<void> => {
    await sleep(Math.random() * everyMs);
    const end = Date.now() + seconds * 1000;
    for (let n = 0; Date.now() < end; n++) {
      const began = performance.now();
      if (!session.run(commandFor(session.store.getState().rig, editor, n)))
        throw new Error(session.store.getState().refusal ?? 'refused');
      typed.push(session.store.getState().history.at(-1)?.id ?? '');
      await saved(session);
      times.push(performance.now() - began);
      await sleep(Math.max(0, everyMs - (performance.now() - began)));
    }
  };
  await Promise.all(sessions.map(edit));
  await sleep(500);
  for (const session of sessions) await session.catchUp();
  stop.abort();

  const log = (await overHttp(urls[0] ?? '', rigId).fetchAfter({
    revision: 0,
    entryId: null,
  })) as readonly SavedEntry[];
  const ids = log.map(({ id }) => id);
  const known = new Set(ids);
  const ends = new Set(sessions.map((session) => rigToJson(session.store.getState().rig)));
  times.sort((a, b) => a - b);
  return {
    edits: typed.length,
    lost: typed.filter((id) => !known.has(id)).length,
    twice: ids.length - known.size,
    diverged: ends.size - 1,
    p50Ms: Math.round(quantile(times, 0.5)),
    p95Ms: Math.round(quantile(times, 0.95)),
    maxMs: Math.round(times.at(-1) ?? 0),
  };
};
