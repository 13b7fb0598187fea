import { readdirSync } from 'node:fs';
import path from 'node:path';

/**
 * All tests of the folders in `FOLDERS` as one file: the engine is loaded once for a change to it,
 * not once for every file that tests it.
 */

/** They take minutes for every change; what they alone notice counts as not noticed. */
const TOO_SLOW = new Set(['files/import-broken.test.ts', 'files/scan.test.ts']);

const folders = (process.env['FOLDERS'] ?? '').split(',').filter((folder) => folder !== '');

for (const folder of folders) {
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts') && !TOO_SLOW.has(file))
    .sort();
  for (const file of files)
    describe(`${folder}/${file}`, () => {
      jest.requireActual(path.resolve(folder, file));
    });
}
