import { build } from 'esbuild';
import { existsSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';

/**
 * Core once for all unit tests: tests of core, commands, demo and bench as modules that share its parts, so that a
 * worker loads each part once; and core as one file for the tests of web, which each begin with nothing.
 */

const OUT = '.local/unit';
const CORE = {
  '@echo-loom/core': './core/src/index.ts',
  '@echo-loom/core/signal': './core/src/signal/index.ts',
};

const testsIn = (folder) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => path.join(folder, file));

const shared = {
  bundle: true,
  platform: 'node',
  target: 'node20',
  packages: 'external',
  sourcemap: true,
  logLevel: 'error',
};

rmSync(OUT, { recursive: true, force: true });
// What tests of the command line have left.
for (const file of existsSync('.local') ? readdirSync('.local') : [])
  if (/^loom-.*\.mjs$/.test(file)) rmSync(path.join('.local', file));
await Promise.all([
  build({
    ...shared,
    entryPoints: ['core/src', 'cli', 'demo', 'bench'].flatMap(testsIn),
    outdir: path.join(OUT, 'tests'),
    outbase: '.',
    format: 'esm',
    splitting: true,
    outExtension: { '.js': '.mjs' },
    alias: CORE,
  }),
  build({
    ...shared,
    entryPoints: { core: CORE['@echo-loom/core'], signal: CORE['@echo-loom/core/signal'] },
    outdir: path.join(OUT, 'core'),
    format: 'cjs',
    outExtension: { '.js': '.cjs' },
  }),
]);
