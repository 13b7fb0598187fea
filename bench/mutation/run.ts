import type { Mutant } from '@stryker-mutator/api/core';
import { Stryker } from '@stryker-mutator/core';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { seeded } from '@echo-loom/core';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

/**
 * Changes the code of a folder in small ways and counts how many of the changes its own tests
 * notice: `npm run mutation -- FOLDER [HOW MANY] [SEED]`. Survivors are listed.
 */

const [folder = 'core/src/rig', many = '300', seed = '1'] = process.argv.slice(2);

/** Tests whose business a folder's code is, where they stand beside rules, sums or another pass. */
const ALSO_TESTED_BY: Readonly<Record<string, readonly string[]>> = {
  'core/src/passes/sound': [
    'core/src/rules/sound',
    'core/src/explain',
    'core/src/passes/room',
    'core/src/passes/processing',
  ],
  'core/src/passes/picture': ['core/src/rules/picture', 'core/src/explain'],
};

/** A change that covers more than this would bring all that stands in it along. @unit lines */
const LARGEST = 3;

const isCode = (file: string): boolean =>
  /\.ts$/.test(file) && !/(\.test|-for-cases|\.d)\.ts$/.test(file);

const silent = {
  debug: () => undefined,
  info: () => undefined,
  warn: () => undefined,
  error: () => undefined,
  fatal: () => undefined,
  trace: () => undefined,
  isDebugEnabled: () => false,
  isInfoEnabled: () => false,
  isTraceEnabled: () => false,
  isWarnEnabled: () => false,
  isErrorEnabled: () => false,
  isFatalEnabled: () => false,
};

const size = ({ location: { start, end } }: Mutant): number => end.line - start.line + 1;

/** Where it stands, as a range to be changed is named. */
const rangeOf = ({ fileName, location: { start, end } }: Mutant): string =>
  `${path.relative(process.cwd(), fileName)}:${start.line + 1}:${start.column}` +
  `-${end.line + 1}:${end.column}`;

const nameOf = (mutant: Mutant): string =>
  `${rangeOf(mutant)} ${mutant.mutatorName} ${mutant.replacement}`;

/** Every mutant there is in the folder, in the order of its files. */
const mutantsIn = async (from: string): Promise<readonly Mutant[]> => {
  const files = readdirSync(from, { recursive: true, encoding: 'utf8' })
    .filter(isCode)
    .map((file) => path.join(from, file))
    .sort();
  const { mutants } = await new Instrumenter(silent).instrument(
    files.map((name) => ({
      name: path.resolve(name),
      mutate: true,
      content: readFileSync(name, 'utf8'),
    })),
    { plugins: null, excludedMutations: ['StringLiteral'], ignorers: [], noHeader: true },
  );
  return mutants.filter((mutant) => size(mutant) <= LARGEST);
};

const all = [...(await mutantsIn(folder))];
const chance = seeded(Number(seed), []);
const chosen: Mutant[] = [];
while (chosen.length < Number(many) && all.length > 0)
  chosen.push(...all.splice(chance.integer(0, all.length - 1), 1));
const wanted = new Set(chosen.map(nameOf));

process.env['FOLDERS'] = [folder, ...(ALSO_TESTED_BY[folder] ?? [])].join(',');
const stryker = new Stryker({
  mutate: chosen.map(rangeOf),
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  coverageAnalysis: 'perTest',
  concurrency: 2,
  // A slow start is not an endless loop.
  timeoutMS: 60_000,
  reporters: [],
  ignorePatterns: ['web/.next', '.local', 'docs', 'test-results'],
  tempDirName: '.local/mutation',
  mutator: { excludedMutations: ['StringLiteral'] },
  // What runs while a file is loaded needs every test to be started anew.
  ignoreStatic: true,
  jest: {
    configFile: 'jest.config.mjs',
    config: {
      roots: ['<rootDir>/core/src', '<rootDir>/bench/mutation'],
      testMatch: ['**/mutation/together.ts'],
    },
    enableFindRelatedTests: false,
  },
});
/** Its results count lines and columns from one. */
const fromZero = <T extends Mutant>(result: T): T => {
  const { start, end } = result.location;
  return {
    ...result,
    location: {
      start: { line: start.line - 1, column: start.column - 1 },
      end: { line: end.line - 1, column: end.column - 1 },
    },
  };
};

const results = (await stryker.runMutationTest())
  .map(fromZero)
  .filter((result) => wanted.has(nameOf(result)));
const survivors = results.filter(({ status }) => status === 'Survived' || status === 'NoCoverage');
const killed = results.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
for (const survivor of survivors) console.log(`${survivor.status}: ${nameOf(survivor)}`);
console.log(
  `${folder}: ${killed} of ${killed + survivors.length} changes noticed, ` +
    `${((100 * killed) / (killed + survivors.length)).toFixed(0)} %`,
);
