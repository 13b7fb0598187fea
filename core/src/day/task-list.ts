import { rowsOfCsv } from '../rig/files/csv';
import { cleanLine } from '../rig/text';
import { lengthOf, type RundownFault } from './rundown-files';
import type { Task } from './schedule';

/** Tasks that no rig knows of, from text: a load-in, a room that is let, what the house does by hand. */

const FIELDS = ['Task', 'Minutes', 'People', 'After'] as const;
const MOST_TASKS = 200;
const MOST_PEOPLE = 50;
const MOST_MIN = 24 * 60;

export interface ReadTasks {
  readonly tasks: readonly Task[];
  readonly faults: readonly RundownFault[];
}

interface Row {
  readonly line: number;
  readonly cells: readonly string[];
}

/** One line of the list. @returns the task, or what is wrong with it */
const readRow = (
  { cells }: Row,
  columns: readonly number[],
  names: ReadonlySet<string>,
): Task | string => {
  const [name = '', minutes = '', people = '', after = ''] = columns.map((at) =>
    cleanLine(cells[at] ?? ''),
  );
  if (name === '') return 'it has no name';
  const lastsS = lengthOf(minutes);
  if (lastsS === null || lastsS <= 0 || lastsS > MOST_MIN * 60)
    return `“${minutes}” is no time such as 2, 1.5 or 1:30`;
  const count = people === '' ? 1 : Number(people);
  if (!Number.isInteger(count) || count < 1 || count > MOST_PEOPLE)
    return `“${people}” is no number of people`;
  const before = after.split(/[+;]/).flatMap((one) => {
    const plain = one.trim();
    return plain === '' ? [] : [plain];
  });
  const unknown = before.find((one) => !names.has(one.toLowerCase()));
  if (unknown !== undefined) return `“${unknown}” is no task of this list`;
  return {
    id: name,
    minutes: lastsS / 60,
    people: count,
    after: before.map((one) => one.toLowerCase()),
  };
};

/** A table with the columns Task, Minutes, People and After; what must come first is joined by +. */
export const readTaskList = (text: string): ReadTasks => {
  const rows = rowsOfCsv(text).filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const header = rows[0]?.cells.map((cell) => cell.trim().toLowerCase()) ?? [];
  const isHeaded = header.includes('task') && header.includes('minutes');
  const columns = FIELDS.map((field, at) => (isHeaded ? header.indexOf(field.toLowerCase()) : at));
  const body = isHeaded ? rows.slice(1) : rows;
  const names = new Set(
    body.map(({ cells }) => cleanLine(cells[columns[0] ?? 0] ?? '').toLowerCase()),
  );
  const tasks: Task[] = [];
  const faults: RundownFault[] = [];
  /** By its name in small letters, as it is written */
  const taken = new Map<string, string>();
  for (const row of body) {
    const read = readRow(row, columns, names);
    if (typeof read === 'string') faults.push({ line: row.line, says: read });
    else if (taken.has(read.id.toLowerCase()))
      faults.push({ line: row.line, says: `“${read.id}” is there already` });
    else if (tasks.length === MOST_TASKS)
      faults.push({ line: row.line, says: `at most ${MOST_TASKS} tasks are taken` });
    else {
      tasks.push(read);
      taken.set(read.id.toLowerCase(), read.id);
    }
  }
  // What waits for a line with a fault waits for nothing.
  return {
    tasks: tasks.map((task) => ({
      ...task,
      after: task.after.flatMap((one) => taken.get(one) ?? []),
    })),
    faults,
  };
};
