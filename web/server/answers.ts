import type { z } from 'zod';

/** Answers of the route handlers, so that every door refuses in the same words. */

export const problem = (status: number, says: string, more: Record<string, unknown> = {}): Response => Response.json({ says, ...more }, { status });

export const badRequest = (issues: readonly z.core.$ZodIssue[]): Response =>
  problem(400, 'The request is not understood.', { problems: issues.slice(0, 100).map((issue) => ({ path: issue.path.join('.'), says: issue.message })) });

/** Largest body read. @unit bytes */
export const MAX_BODY_BYTES = 12 * 1024 * 1024;

/** The bytes of a request, refused before they are all read when there are too many. @returns null when too large */
export const readBody = async (request: Request, limit = MAX_BODY_BYTES): Promise<Uint8Array | null> => {
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
  return Buffer.concat(parts);
};

const CONNECTION_CODES = new Set(['ECONNREFUSED', 'ECONNRESET', 'CONNECT_TIMEOUT', 'CONNECTION_CLOSED', 'CONNECTION_ENDED', 'CONNECTION_DESTROYED', 'EPIPE', 'ETIMEDOUT', '57P01', '57P02', '57P03']);

/** Whether an error means that the database is away, not that something is wrong with the request. */
export const isDatabaseAway = (error: unknown): boolean => {
  for (let at: unknown = error; typeof at === 'object' && at !== null; at = 'cause' in at ? at.cause : null) {
    const code = 'code' in at ? at.code : undefined;
    if (typeof code === 'string' && (CONNECTION_CODES.has(code) || code.startsWith('08'))) return true;
  }
  return false;
};

/** Runs a handler; a database that is away becomes 503, everything else unforeseen 500 with nothing of its insides. */
export const answering = async (handle: () => Promise<Response>): Promise<Response> => {
  try {
    return await handle();
  } catch (error) {
    if (isDatabaseAway(error)) return problem(503, 'The database does not answer.');
    console.error(error);
    return problem(500, 'Something went wrong on the server; it has been logged.');
  }
};
