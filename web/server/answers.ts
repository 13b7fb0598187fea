import { MAX_DEPTH, readJson } from '@echo-loom/core';
import type { z } from 'zod';
import { elsewhereProblem, strangerProblem } from './hosts';

/** Answers of the route handlers, so that every door refuses in the same words. */

const NEVER_STORED = { 'cache-control': 'no-store' };

export const problem = (
  status: number,
  says: string,
  more: Record<string, unknown> = {},
): Response => Response.json({ says, ...more }, { status, headers: NEVER_STORED });

export const answer = (body: unknown, status = 200): Response =>
  Response.json(body, { status, headers: NEVER_STORED });

export const noSuchRig = (): Response =>
  problem(404, 'There is no such rig; it may have been taken off the shelf.');

/** A request that is refused with an answer of its own. */
export class Refused extends Error {
  constructor(readonly response: Response) {
    super('refused');
  }
}

/** Most problems told of one request. */
const TOLD = 100;

/** Parses what a request brought. @throws Refused with what is wrong and where */
export const parsed = <T>(schema: z.ZodType<T>, value: unknown): T => {
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  const problems = read.error.issues
    .slice(0, TOLD)
    .map(({ path, message }) => ({ path: path.join('.'), says: message }));
  throw new Refused(problem(400, 'The request is not understood.', { problems }));
};

/** The query of a request. The same name twice is refused unless the schema takes a list of it. @throws Refused */
export const queryOf = <T>(request: Request, schema: z.ZodType<T>): T => {
  const { searchParams } = new URL(request.url);
  const query: Record<string, string | string[]> = {};
  for (const name of new Set(searchParams.keys())) {
    const values = searchParams.getAll(name);
    query[name] = values.length === 1 ? (values[0] ?? '') : values;
  }
  return parsed(schema, query);
};

/** The bytes of a request, refused before they are all read when there are too many. @returns null when too large */
export const readBody = async (
  request: Request,
  limit: number,
): Promise<Uint8Array<ArrayBuffer> | null> => {
  if (Number(request.headers.get('content-length') ?? 0) > limit) return null;
  const parts: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const chunk = await reader?.read();
    if (!chunk || chunk.done) break;
    size += chunk.value.length;
    if (size > limit) {
      await reader?.cancel();
      return null;
    }
    parts.push(chunk.value);
  }
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.length;
  }
  return bytes;
};

/** Refuses a body that does not say what is meant: a form of another site cannot say so without asking first. */
export const mustSay = (request: Request, ...types: readonly string[]): void => {
  const [said = ''] = (request.headers.get('content-type') ?? '').split(';');
  if (!types.includes(said.trim().toLowerCase()))
    throw new Refused(problem(415, `Expected ${types.join(' or ')}.`));
};

/**
 * The JSON body of a request.
 * @param limit most bytes read
 * @throws Refused where it is too large, not UTF-8, not JSON, or nested deeper than anything here
 */
export const jsonBody = async (request: Request, limit: number): Promise<unknown> => {
  mustSay(request, 'application/json');
  const bytes = await readBody(request, limit);
  if (!bytes)
    throw new Refused(
      problem(413, `The request is too large: at most ${Math.round(limit / 1024)} kB are read.`),
    );
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Refused(problem(400, 'The request is not UTF-8 text.'));
  }
  const read = readJson(text);
  if ('value' in read) return read.value;
  throw new Refused(
    problem(400, `The request cannot be read (nested at most ${MAX_DEPTH} deep).`, {
      problems: read.problems,
    }),
  );
};

/** The bytes of a file that a page or a script sends. @throws Refused */
export const fileBody = async (
  request: Request,
  limit: number,
): Promise<Uint8Array<ArrayBuffer>> => {
  mustSay(request, 'application/octet-stream', 'application/json');
  const bytes = await readBody(request, limit);
  if (!bytes)
    throw new Refused(
      problem(413, `The file is too large: at most ${limit / 1024 / 1024} MB are read.`),
    );
  return bytes;
};

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOENT',
  'EHOSTUNREACH',
  'ENOTFOUND',
  'EAI_AGAIN',
  // shutting down, crashed, starting, ended while idle, too many clients
  '57P01',
  '57P02',
  '57P03',
  '57P05',
  '25P03',
  '53300',
]);
const BUSY = new Set(['55P03', '57014', '40P01']);
/** What the driver says without a code when a connection broke or none could be had. */
const AWAY_WORDS = [
  'Connection terminated',
  'timeout exceeded when trying to connect',
  'Client has encountered a connection error',
  'Client was closed',
];

/** Looks along an error and its causes. */
const isAny = (
  error: unknown,
  is: (code: string | undefined, message: string) => boolean,
): boolean => {
  for (
    let at: unknown = error;
    typeof at === 'object' && at !== null;
    at = 'cause' in at ? at.cause : null
  ) {
    const code = 'code' in at && typeof at.code === 'string' ? at.code : undefined;
    if (is(code, at instanceof Error ? at.message : '')) return true;
  }
  return false;
};

/** Whether an error means that the database is away, not that something is wrong with the request. */
export const isDatabaseAway = (error: unknown): boolean =>
  isAny(error, (code, message) =>
    code === undefined
      ? AWAY_WORDS.some((words) => message.startsWith(words))
      : AWAY.has(code) || code.startsWith('08'),
  );

/** Whether somebody else holds what a statement needed, or it took too long. */
export const isDatabaseBusy = (error: unknown): boolean =>
  isAny(error, (code) => code !== undefined && BUSY.has(code));

const later = (says: string): Response =>
  Response.json({ says }, { status: 503, headers: { ...NEVER_STORED, 'retry-after': '1' } });

/** The answer to an error nobody foresaw: nothing of its insides. */
const unforeseen = (error: unknown): Response => {
  if (error instanceof Refused) return error.response;
  if (isDatabaseAway(error)) return later('The database does not answer.');
  if (isDatabaseBusy(error)) return later('Somebody else is changing this just now.');
  console.error(error);
  return problem(500, 'Something went wrong on the server; it has been logged.');
};

/**
 * What every route handler is wrapped in: strangers are turned away before anything is read; a database that is away
 * or busy becomes 503, everything else unforeseen 500.
 */
export const answering =
  <Args extends readonly unknown[]>(
    handle: (request: Request, ...args: Args) => Promise<Response>,
  ) =>
  async (request: Request, ...args: Args): Promise<Response> => {
    const stranger =
      strangerProblem(request.method, request.headers) ?? elsewhereProblem(request.headers);
    if (stranger) return problem(403, stranger);
    try {
      return await handle(request, ...args);
    } catch (error) {
      return unforeseen(error);
    }
  };
