import {
  analyse,
  type Analysis,
  fixesOfCause,
  importRig,
  patchSheetCsv,
  personMinutes,
  placeName,
  readTaskList,
  report,
  type Rig,
  rigJsonSchema,
  rigToDot,
  rigToJson,
  scheduleFor,
  sumsOf,
  sumText,
  threadText,
  verdictText,
} from '@echo-loom/core';
import { createWriteStream, existsSync, readFileSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';

/**
 * The engine on the command line, and the database as a whole. Exit 0: no stops; 1: stops; 2: a bad
 * file or a bad call.
 */

const USAGE = `bin/loom analyse RIG.json [--json]         findings for people, or everything for programs
bin/loom export RIG.json --csv|--dot|--json   patch sheet, graph, or the rig in the present version
bin/loom schedule TASKS.csv --people=2 [--json]   who does what when: Task, Minutes, People, After
bin/loom schema                               the JSON Schema of a rig
bin/loom backup FILE                          everything in the database as one file
bin/loom restore FILE --replace               a backup in the place of everything that is there`;

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
  return imported.ok
    ? imported.rig
    : refuse(imported.problems.map(({ path, says }) => `${file}: ${path}: ${says}`).join('\n'));
};

const forPeople = (analysis: Analysis): string => {
  const findings = analysis.causes.flatMap((cause) => [
    `${MARKS[cause.finding.level]}  ${cause.title}  (${cause.finding.code})`,
    `      ${cause.finding.says}`,
    ...(cause.places.length > 1
      ? [`      In: ${cause.places.map((place) => placeName(analysis, place)).join('; ')}`]
      : []),
    ...sumsOf(analysis, cause.finding).flatMap((sum) => [
      `      ${sumText(sum)}`,
      ...(sum.note ? [`        ${sum.note}`] : []),
    ]),
    ...fixesOfCause(analysis, cause).map((fix) => `      Fix: ${fix.label}`),
    '',
  ]);
  const threads = analysis.traced.threads.map(
    (thread) => `  ${thread.signal}: ${threadText(analysis, thread)}`,
  );
  return [
    `${analysis.rig.name}: ${verdictText(analysis.verdict)}`,
    '',
    ...findings,
    ...analysis.aside.map(
      ({ finding, reason }) => `Put aside: ${finding.title}  (${finding.code})\n      ${reason}\n`,
    ),
    `Threads (${threads.length})`,
    ...threads,
  ].join('\n');
};

/** A list of tasks, done as soon as can be: for people, or for programs. */
const schedule = (source: string, people: number, isJson: boolean): void => {
  let text: string;
  try {
    text = readFileSync(source, 'utf8');
  } catch (error) {
    return refuse(`${source}: ${error instanceof Error ? error.message : 'cannot be read'}`);
  }
  const { tasks, faults } = readTaskList(text);
  if (faults.length > 0)
    refuse(faults.map(({ line, says }) => `${source}: line ${line}: ${says}`).join('\n'));
  const found = scheduleFor(tasks, people);
  if (!found.ok) return refuse(`${source}: ${found.why}`);
  const { minutes, leastMin, isBest } = found;
  const lines = found.tasks.map(
    ({ id, fromMin, toMin, who }) =>
      `${fromMin} to ${toMin} min  ${id}  (person ${who.join(', ')})`,
  );
  const total = personMinutes(tasks);
  print(
    isJson
      ? JSON.stringify(
          { people, personMinutes: total, minutes, leastMin, isBest, tasks: found.tasks },
          null,
          2,
        )
      : [`${minutes} min with ${people}, ${total} person-minutes`, ...lines].join('\n'),
    0,
  );
};

/** Writes all of a text, however long, before the program ends. */
const print = (text: string, exitCode: number): void => {
  process.stdout.write(text.endsWith('\n') ? text : `${text}\n`, () => process.exit(exitCode));
};

/** Writes a backup to a file that did not exist; one that is cut off is not left behind. */
const keep = async (target: string): Promise<void> => {
  if (existsSync(target)) refuse(`${target} is there already.`);
  const half = `${target}.half`;
  try {
    const { writeBackup } = await import('../web/server/backup/write');
    await pipeline(writeBackup(), createWriteStream(half, { mode: 0o600 }));
    renameSync(half, target);
  } catch (error) {
    rmSync(half, { force: true });
    refuse(`No backup was made: ${error instanceof Error ? error.message : 'unknown'}`);
  }
  print(`Everything is in ${target}.`, 0);
};

const bringBack = async (source: string): Promise<void> => {
  if (!existsSync(source)) refuse(`${source} is not there.`);
  try {
    const { restoreBackup } = await import('../web/server/backup/restore');
    const { bringLogsUp, upgradeHere } = await import('../web/server/logs');
    const { rows } = await restoreBackup(
      source,
      path.join(import.meta.dirname, '../web/server/migrations'),
    );
    await bringLogsUp(upgradeHere);
    const counts = Object.entries(rows).map(([table, count]) => `${count} ${table}`);
    print(`Everything is as in ${source}: ${counts.join(', ')}.`, 0);
  } catch (error) {
    refuse(`Nothing was restored: ${error instanceof Error ? error.message : 'unknown'}`);
  }
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
  print(
    flags.includes('--json') ? JSON.stringify(report(analysis), null, 2) : forPeople(analysis),
    analysis.verdict.stops > 0 ? 1 : 0,
  );
} else if (command === 'export' && file && flags.length === 1) {
  only(['--csv', '--dot', '--json']);
  const rig = readFile(file);
  print(
    flags[0] === '--csv'
      ? patchSheetCsv(rig)
      : flags[0] === '--dot'
        ? rigToDot(rig)
        : rigToJson(rig),
    0,
  );
} else if (command === 'schedule' && file) {
  const wanted = flags.find((flag) => flag.startsWith('--people='));
  only(['--json', ...(wanted === undefined ? [] : [wanted])]);
  const people = Number(wanted?.slice('--people='.length));
  if (!Number.isInteger(people) || people < 1 || people > 50)
    refuse('--people= wants a whole number from 1 to 50.');
  schedule(file, people, flags.includes('--json'));
} else if (command === 'backup' && file) {
  only([]);
  await keep(file);
} else if (command === 'restore' && file) {
  only(['--replace']);
  if (!flags.includes('--replace')) {
    refuse(
      'Restoring replaces everything that is in the database. Make a backup of it first, then add --replace.',
    );
  }
  await bringBack(file);
} else refuse(USAGE);
