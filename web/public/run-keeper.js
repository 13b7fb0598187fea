/* global self, caches, fetch, URL, AbortSignal, Response */
/**
 * Keeps the page of a run and everything it is made of, so that it can be loaded again while the server is away.
 * Everything else goes to the server as ever.
 */
const KEPT = 'echo-loom-runs';
const PART = /^\/_next\/static\//;
const RUN = /^\/rigs\/[^/]+\/runs\/[^/]+$/;
/** A page that takes longer comes from here, where it is kept. */
const PAGE_WITHIN_MS = 4000;
/** Pages that are kept; the oldest goes first. */
const MOST_PAGES = 5;

const opened = () => caches.open(KEPT);
const kept = async (path) => (await opened()).match(path, { ignoreVary: true });
const pathOf = ({ url }) => new URL(url).pathname;

/**
 * Parts have their content in their name: one that is kept is never out of date. It is answered without an address of
 * its own, so that a worker has the one that was asked for: what follows “#” tells it what to load.
 */
const part = async (request) => {
  const there = await kept(pathOf(request));
  return there ? new Response(there.body, there) : fetch(request);
};

const pageOf = async (request) => {
  const before = await kept(pathOf(request));
  try {
    const response = await fetch(
      request.url,
      before ? { signal: AbortSignal.timeout(PAGE_WITHIN_MS) } : {},
    );
    return response.status >= 500 && before ? before : response;
  } catch {
    return before ?? Response.error();
  }
};

/** Everything or, where something does not come, nothing new. What no page is made of any more goes. */
const keep = async (path, parts) => {
  const cache = await opened();
  const known = (await cache.keys()).map(pathOf);
  await cache.addAll(parts.filter((each) => PART.test(each) && !known.includes(each)));
  // The page that is kept stays until the next is here whole: the server may go in between.
  const page = await fetch(path);
  const body = await page.blob();
  if (!page.ok) throw new Error(`${path}: ${page.status}`);
  await cache.put(path, new Response(body, { headers: page.headers }));
  const old = known.filter((each) => PART.test(each) && !parts.includes(each));
  const pages = known.filter((each) => RUN.test(each) && each !== path);
  // Pages of an earlier build are made of parts that go.
  const late = old.length > 0 ? pages : pages.slice(0, Math.max(0, pages.length + 1 - MOST_PAGES));
  for (const each of [...old, ...late]) await cache.delete(each, { ignoreVary: true });
};

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (PART.test(url.pathname)) event.respondWith(part(request));
  else if (request.mode === 'navigate' && RUN.test(url.pathname))
    event.respondWith(pageOf(request));
});
self.addEventListener('message', (event) => {
  const { path, parts } = event.data;
  const [port] = event.ports;
  event.waitUntil(
    keep(path, parts).then(
      () => port.postMessage('kept'),
      () => port.postMessage('failed'),
    ),
  );
});
