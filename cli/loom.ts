import { readFileSync } from 'node:fs';
import { analyse, fixesOf, importRig, patchSheetCsv, report, rigJsonSchema, rigToDot, rigToJson, sumsOf, sumText, threadText, verdictText, type Analysis, type Rig } from '@echo-loom/core';

/** The engine on the command line. Exit 0: no stops; 1: stops; 2: a bad file or a bad call. */

const USAGE = `bin/loom analyse RIG.json [--json]         findings for people, or everything for programs
bin/loom export RIG.json --csv|--dot|--json   patch sheet, graph, or the rig in the present version
bin/loom schema                               the JSON Schema of a rig`;

const MARKS = { stop: 'STOP', warn: 'WARN', note: 'note' } as const;

const refuse = (lines: string): never => {
  process.stderr.write(`${lines}\n`);
  process.exit(2);
};

const readFile = (file: string): Rig => {
  let bytes: Buffer;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    return refuse(`${file}: ${error instanceof Error ? error.message : 'cannot be read'}`);
  }
  const imported = importRig(bytes);
  return imported.ok ? imported.rig : refuse(imported.problems.map(({ path, says }) => `${file}: ${path}: ${says}`).join('\n'));
};

const forPeople = (analysis: Analysis): string => {
  const findings = analysis.findings.flatMap((finding) => [
    `${MARKS[finding.level]}  ${finding.title}  (${finding.code})`,
    `      ${finding.says}`,
    ...sumsOf(analysis, finding).flatMap((sum) => [`      ${sumText(sum)}`, ...(sum.note ? [`        ${sum.note}`] : [])]),
    ...fixesOf(analysis, finding).map((fix) => `      Fix: ${fix.label}`),
    '',
  ]);
  const threads = analysis.traced.threads.map((thread) => `  ${thread.signal}: ${threadText(analysis, thread)}`);
  return [`${analysis.rig.name}: ${verdictText(analysis.verdict)}`, '', ...findings, `Threads (${threads.length})`, ...threads].join('\n');
};

/** Writes all of a text, however long, before the program ends. */
const print = (text: string, exitCode: number): void => {
  process.stdout.write(text.endsWith('\n') ? text : `${text}\n`, () => process.exit(exitCode));
};

const [command, ...rest] = process.argv.slice(2);
const flags = rest.filter((word) => word.startsWith('--'));
const [file, ...more] = rest.filter((word) => !word.startsWith('--'));
const only = (allowed: readonly string[]): void => {
  const unknown = flags.find((flag) => !allowed.includes(flag));
  if (unknown || more.length) refuse(`${unknown ?? more[0]} is not understood.\n${USAGE}`);
};

if (command === 'schema') {
  only([]);
  print(JSON.stringify(rigJsonSchema(), null, 2), 0);
} else if (command === 'analyse' && file) {
  only(['--json']);
  const analysis = analyse(readFile(file));
  print(flags.includes('--json') ? JSON.stringify(report(analysis), null, 2) : forPeople(analysis), analysis.verdict.stops > 0 ? 1 : 0);
} else if (command === 'export' && file && flags.length === 1) {
  only(['--csv', '--dot', '--json']);
  const rig = readFile(file);
  print(flags[0] === '--csv' ? patchSheetCsv(rig) : flags[0] === '--dot' ? rigToDot(rig) : rigToJson(rig), 0);
} else refuse(USAGE);
