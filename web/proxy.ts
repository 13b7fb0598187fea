import { NextResponse, type NextRequest } from 'next/server';
import { strangerProblem } from './server/hosts';

/**
 * Stands before every page. (Route handlers under /api turn strangers away themselves, in `answering`: what passes
 * here would be read into memory first.) Turns away names that are not ours and everything that would write, and gives
 * each page a policy of what may run on it.
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

export const proxy = (request: NextRequest): Response => {
  const stranger = strangerProblem(request.method, request.headers);
  if (stranger) return refuse(403, stranger);
  if (request.method !== 'GET' && request.method !== 'HEAD')
    return refuse(405, 'Pages are only read.');
  const nonce = btoa(crypto.randomUUID());
  const policy = policyFor(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
};

export const config = { matcher: ['/((?!api/).*)'] };
