import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';
import { OLD_FILES, oldNames, oldText } from '../core/src/rig/files/old-files-for-cases';

/** Adds files to the archive of those that earlier versions left: `npm run old-files -- FILE ...`. */

const kept = existsSync(OLD_FILES) ? oldNames().map((name) => [name, oldText(name)] as const) : [];
const added = process.argv.slice(2).map((file) => {
  const name = path.basename(file);
  if (!/^[a-z-]+\.version-\d+\.(rig|log)\.json$/.test(name))
    throw new Error(`${name}: a name such as night-tide.version-19.rig.json is expected`);
  return [name, readFileSync(file, 'utf8')] as const;
});
const text = JSON.stringify(
  Object.fromEntries([...new Map([...kept, ...added])].sort(([a], [b]) => (a < b ? -1 : 1))),
);
writeFileSync(
  OLD_FILES,
  brotliCompressSync(text, {
    params: {
      // A window as large as all of it: what one version has of another is found.
      [constants.BROTLI_PARAM_LGWIN]: 24,
      [constants.BROTLI_PARAM_QUALITY]: 11,
      [constants.BROTLI_PARAM_SIZE_HINT]: text.length,
    },
  }),
);
console.log(`${new Map([...kept, ...added]).size} files in ${OLD_FILES}`);
