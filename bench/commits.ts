import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';

/**
 * An entry of the bench bundled with the core of an earlier commit, or of the working tree, so that
 * both run in one process.
 */

const ROOT = process.cwd();
const LOCAL = path.join(ROOT, '.local', 'commits');

const git = (...words: string[]): string =>
  execFileSync('git', words, { cwd: ROOT, encoding: 'utf8' }).trim();

/** Core as it stood at a commit, unpacked once. @returns its folder */
const unpacked = (commit: string): string => {
  const sha = git('rev-parse', '--short', commit);
  const folder = path.join(LOCAL, sha);
  if (existsSync(path.join(folder, 'core/src/index.ts'))) return folder;
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  execFileSync('tar', ['-x', '-C', folder], {
    input: execFileSync('git', ['archive', sha, 'core'], { cwd: ROOT, maxBuffer: 1 << 28 }),
  });
  return folder;
};

/**
 * Loads an entry with the core of a commit.
 * @param entry file, from the root of the repository
 * @param commit null for the working tree
 */
export const withCore = async <Module>(entry: string, commit: string | null): Promise<Module> => {
  const core = path.join(commit === null ? ROOT : unpacked(commit), 'core/src/index.ts');
  const outfile = path.join(
    LOCAL,
    `${path.basename(entry, '.ts')}-${commit === null ? 'tree' : git('rev-parse', '--short', commit)}.mjs`,
  );
  await build({
    entryPoints: [path.join(ROOT, entry)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    alias: { '@echo-loom/core': core },
    outfile,
    logLevel: 'error',
  });
  return (await import(`${pathToFileURL(outfile).href}?${Date.now()}`)) as Module;
};
