import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** The command line as people start it, and a folder of files for it that goes with the test. */

export const root = path.join(__dirname, '..');
export const loomWith = (databaseUrl: string | undefined, ...words: string[]) =>
  spawnSync(
    process.execPath,
    [
      '--import',
      path.join(root, 'node_modules/tsx/dist/loader.mjs'),
      path.join(root, 'cli/loom.ts'),
      ...words,
    ],
    {
      encoding: 'utf8',
      maxBuffer: 64 * 1024 * 1024,
      env: { ...process.env, ...(databaseUrl === undefined ? {} : { DATABASE_URL: databaseUrl }) },
    },
  );
export const loom = (...words: string[]) => loomWith(undefined, ...words);
export const nightTide = path.join(root, 'demo/night-tide.rig.json');
export const folder = mkdtempSync(path.join(tmpdir(), 'echo-loom-'));
afterAll(() => rmSync(folder, { recursive: true }));

export const write = (name: string, text: string): string => {
  const file = path.join(folder, name);
  writeFileSync(file, text);
  return file;
};
