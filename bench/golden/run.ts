import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { withCore } from '../commits';
import type * as Dumping from './dump';
import type * as Files from './files';

/**
 * Whether the engine still says of every rig what it said at an earlier commit, byte for byte:
 * `npm run golden -- COMMIT [RIG.json or FOLDER …] [--random 200] [--keys]`. Exit 1 where it does not.
 */

type Dump = typeof Dumping;

const USAGE = 'npm run golden -- COMMIT [RIG.json or FOLDER …] [--random=200] [--keys]';

const filesIn = (place: string): string[] =>
  statSync(place).isDirectory()
    ? readdirSync(place)
        .sort()
        .flatMap((name) => filesIn(path.join(place, name)))
    : place.endsWith('.json')
      ? [place]
      : [];

const firstDifference = (before: string, after: string): string => {
  const [a, b] = [before.split('\n'), after.split('\n')];
  const line = a.findIndex((text, index) => text !== b[index]);
  const from = Math.max(0, line - 3);
  return [
    `line ${line + 1}`,
    ...a.slice(from, line + 3).map((text) => `  before ${text}`),
    ...b.slice(from, line + 3).map((text) => `  after  ${text}`),
  ].join('\n');
};

const words = process.argv.slice(2);
const [commit, ...places] = words.filter((word) => !word.startsWith('--'));
if (!commit) throw new Error(USAGE);
const random = Number(
  words.find((word) => word.startsWith('--random='))?.slice('--random='.length) ?? 200,
);

const before = await withCore<Dump>('bench/golden/dump.ts', commit);
const files = await withCore<typeof Files>('bench/golden/files.ts', null);
const after = await withCore<Dump>('bench/golden/dump.ts', null);
const isUnreadable = (says: string): boolean => says.startsWith('{"unreadable"');
const rigs = [
  ...files.rigFiles(random),
  ...places.flatMap(filesIn).map((file): [string, string] => [file, readFileSync(file, 'utf8')]),
];

let different = 0;
let findings = 0;
const unreadable: string[] = [];
for (const [name, json] of rigs) {
  const [a, b] = [before.dump(json), after.dump(json)];
  if (isUnreadable(b.says)) unreadable.push(name);
  findings += (JSON.parse(b.keys) as string[]).length;
  const isSame = a.says === b.says && (!words.includes('--keys') || a.keys === b.keys);
  if (isSame) continue;
  different++;
  if (different <= 3)
    console.log(`${name}: ${a.says === b.says ? 'keys differ' : firstDifference(a.says, b.says)}`);
}
console.log(
  `${rigs.length} rigs, ${findings} findings: ` +
    `${different === 0 ? `all as at ${commit}` : `${different} differ from ${commit}`}`,
);
if (unreadable.length > 0)
  console.log(`not rigs of this version, and refused alike: ${unreadable.join(', ')}`);
process.exitCode = different === 0 ? 0 : 1;
