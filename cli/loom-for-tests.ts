import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { buildSync } from 'esbuild';

/**
 * The command line in one piece, so that its modules are not read anew for every call, and a folder of
 * files for it. Test files of one worker share both, so no test takes them away: `bundle-tests.mjs` does.
 */

export const root = process.cwd();
const scratch = path.join(root, '.local/unit');
mkdirSync(scratch, { recursive: true });
export const folder = mkdtempSync(path.join(scratch, 'loom-'));
// It finds the migrations from where it stands.
const inOnePiece = path.join(root, '.local', `${path.basename(folder)}.mjs`);
buildSync({
  entryPoints: [path.join(root, 'cli/loom.ts')],
  outfile: inOnePiece,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  alias: { '@echo-loom/core': path.join(root, 'core/src/index.ts') },
  logLevel: 'error',
});
export const loomWith = (databaseUrl: string | undefined, ...words: string[]) =>
  spawnSync(process.execPath, [inOnePiece, ...words], {
    encoding: 'utf8',
    maxBuffer: 64 * 1024 * 1024,
    env: { ...process.env, ...(databaseUrl === undefined ? {} : { DATABASE_URL: databaseUrl }) },
  });
export const loom = (...words: string[]) => loomWith(undefined, ...words);
export const nightTide = path.join(root, 'demo/night-tide.rig.json');

export const write = (name: string, text: string): string => {
  const file = path.join(folder, name);
  writeFileSync(file, text);
  return file;
};
