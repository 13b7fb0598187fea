import { NextResponse, type NextRequest } from 'next/server';
import { isDatabaseThere } from './server/database';
import { strangerProblem } from './server/hosts';
import { AGAIN_AFTER_S, needsDatabase, noDatabasePage } from './server/no-database';

/**
 * Stands before every page. (Route handlers under /api turn strangers away themselves, in `answering`: what passes
 * here would be read into memory first.) Turns away names that are not ours and everything that would write, and gives
 * each page a policy of what may run on it. While the database is away it says so itself.
 */

/** What the development server needs on top: it replaces code by evaluating text. */
const IN_DEVELOPMENT = process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : '';

const policyFor = (nonce: string): string =>
  [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${IN_DEVELOPMENT}`,
    `style-src 'self' 'nonce-${nonce}'`,
    // Style attributes that the server writes into the page: positions and sizes.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    // A worker from a blob is made by code that is let in already: the writer of spreadsheets packs in one.
    "worker-src 'self' blob:",
    "manifest-src 'self'",
    "form-action 'self'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
  ].join('; ');

const refuse = (status: number, says: string): Response =>
  new Response(says, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' },
  });

/** A page for whoever comes while the database is away: no error, and nothing lost. */
const noDatabase = (nonce: string, policy: string): Response =>
  new Response(noDatabasePage(nonce), {
    status: 503,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'cache-control': 'no-store',
      'content-security-policy': policy,
      'retry-after': String(AGAIN_AFTER_S),
    },
  });

export const proxy = async (request: NextRequest): Promise<Response> => {
  const stranger = strangerProblem(request.method, request.headers);
  if (stranger) return refuse(403, stranger);
  if (request.method !== 'GET' && request.method !== 'HEAD')
    return refuse(405, 'Pages are only read.');
  const nonce = btoa(crypto.randomUUID());
  const policy = policyFor(nonce);
  if (needsDatabase(request.nextUrl.pathname, request.headers) && !(await isDatabaseThere()))
    return noDatabase(nonce, policy);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
};

export const config = { matcher: ['/((?!api/).*)'] };
