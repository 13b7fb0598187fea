/** What a page says while the database does not answer: it asks again by itself. */

/** After so long the page asks again. @unit s */
export const AGAIN_AFTER_S = 5;

/** Pages that need no database. */
const WITHOUT = new Set(['/flash']);

/** Whether somebody goes to a page that the database is needed for, and not only a part of it is fetched. */
export const needsDatabase = (pathname: string, headers: Headers): boolean =>
  !WITHOUT.has(pathname) &&
  !headers.has('rsc') &&
  (headers.get('sec-fetch-dest') ?? 'document') === 'document' &&
  (headers.get('accept') ?? '').includes('text/html');

/** @param nonce of the page's policy, for its few styles */
export const noDatabasePage = (nonce: string): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<meta http-equiv="refresh" content="${AGAIN_AFTER_S}">
<title>The database does not answer · Echo Loom</title>
<style nonce="${nonce}">
:root { color-scheme: light dark; font: 16px/1.5 system-ui, sans-serif }
main { max-width: 44ch; margin: 20vh auto 0; padding: 0 20px }
h1 { font-size: 1.25rem }
</style>
</head>
<body>
<main>
<h1>The database does not answer.</h1>
<p>What is saved is safe, and edits that were not saved are kept in the browser they were made in.
This page tries again every ${AGAIN_AFTER_S} seconds.</p>
<p><a href="">Try again now</a></p>
</main>
</body>
</html>
`;
