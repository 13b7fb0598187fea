import { createServer } from 'node:http';
import path from 'node:path';
import next from 'next';

/**
 * The door of the application: Next behind a plain HTTP server of our own. `next start` answers an address that cannot
 * be decoded with 500, and on SIGTERM waits for event streams that never end; this does neither.
 *
 *   node front.mjs PORT [HOST]
 */

const [port = '', hostname = '127.0.0.1'] = process.argv.slice(2);
if (!/^\d{1,5}$/.test(port) || Number(port) > 65_535) {
  console.error(`PORT is a number from 0 to 65535; found "${port}".`);
  process.exit(2);
}

const app = next({
  dev: false,
  dir: path.resolve(import.meta.dirname),
  hostname,
  port: Number(port),
});
await app.prepare();
const handle = app.getRequestHandler();

/** @param {import('node:http').ServerResponse} response @param {number} status @param {string} says */
const refuse = (response, status, says) => {
  response.writeHead(status, { 'content-type': 'application/json', 'cache-control': 'no-store' });
  response.end(JSON.stringify({ says }));
};

/** Whether an address is one of ours at all: a path, and every escape in it a character. @param {string} url */
const isAddress = (url) => {
  if (!url.startsWith('/') || url.startsWith('//')) return false;
  try {
    decodeURIComponent(url.replaceAll('+', ' '));
    return true;
  } catch {
    return false;
  }
};

/** What any door may be asked by; which of them a door takes, it says itself. */
const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']);

const server = createServer((request, response) => {
  if (!METHODS.has(request.method ?? ''))
    return refuse(response, 405, `Nothing here is asked by ${request.method}.`);
  if (!isAddress(request.url ?? '')) return refuse(response, 400, 'This address cannot be read.');
  handle(request, response).catch((error) => {
    console.error(error);
    if (!response.headersSent)
      refuse(response, 500, 'Something went wrong on the server; it has been logged.');
    else response.destroy();
  });
});

const stop = () => {
  server.close(() => process.exit(0));
  // Event streams never end by themselves; what is being answered gets a moment.
  setTimeout(() => server.closeAllConnections(), 300).unref();
  setTimeout(() => process.exit(0), 3000).unref();
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);

server.on('error', (error) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
server.listen(Number(port), hostname);
