import equal from 'fast-deep-equal';
import Papa from 'papaparse';
import { type CsvRow, noTable, rowsOfCsv } from '../rig/files/csv';
import { idSchema } from '../rig/ids';
import { headingOf, THING_COLUMNS, type ThingColumn } from './columns';
import {
  blankThing,
  MOST_THINGS,
  type OwnThing,
  type Thing,
  type ThingField,
  thingSchema,
} from './schema';

/** Things as a table, one a line: comma-separated text or a spreadsheet, out and in again without a difference. */

const ID = 'Id';
export const THING_HEADINGS: readonly string[] = [ID, ...THING_COLUMNS.map(headingOf)];

type Cell = string | number | null;

export const thingRows = (things: readonly OwnThing[]): Cell[][] =>
  things.map(({ id, thing }) => [id, ...THING_COLUMNS.map(({ field }) => thing[field])]);

/** What a spreadsheet would run as a formula, and what would be taken for one that was quoted here. */
const FORMULA = /^'*[=+\-@\t\r]/;

export const thingsToCsv = (things: readonly OwnThing[]): string =>
  `${Papa.unparse({ fields: [...THING_HEADINGS], data: thingRows(things) }, { escapeFormulae: FORMULA })}\r\n`;

/** A thing as a file has it. */
export interface ThingLine {
  readonly line: number;
  /** null where the file says none: it is a new one */
  readonly id: string | null;
  readonly thing: Thing;
}

export interface ThingFault {
  /** `line 14` */
  readonly at: string;
  readonly says: string;
}

export interface ReadThings {
  readonly lines: readonly ThingLine[];
  readonly faults: readonly ThingFault[];
}

/** A line of a table, by the line of the file it begins on. */
type Read = { readonly value: string | number | null } | { readonly says: string };

const readCell = ({ is, options }: ThingColumn, text: string): Read => {
  if (text === '') return { value: null };
  if (is === 'number') {
    if (text.includes(','))
      return { says: `“${text}” has a comma; write a point for decimals, nothing for thousands` };
    const value = Number(text.replace('−', '-'));
    return Number.isFinite(value) ? { value } : { says: `“${text}” is no number` };
  }
  if (is === 'choice') {
    const found = options?.find(
      ({ value, label }) =>
        value.toLowerCase() === text.toLowerCase() || label.toLowerCase() === text.toLowerCase(),
    );
    const all = options ?? [];
    return found
      ? { value: found.value }
      : {
          says: `“${text}” is none of ${all
            .slice(0, 8)
            .map(({ value }) => value)
            .join(', ')}${all.length > 8 ? ' and so on' : ''}`,
        };
  }
  return { value: text };
};

const headed = new Map(THING_COLUMNS.map((column) => [column.field as string, column.heading]));

const firstOfEach = <T extends { readonly path: readonly PropertyKey[] }>(
  issues: readonly T[],
): T[] =>
  issues.filter(
    ({ path }, index) => issues.findIndex((other) => other.path[0] === path[0]) === index,
  );

/** Lines of a file: notes may run over several, and some may be empty. */
const MOST_LINES = 10 * MOST_THINGS;

/** What a form or a file says of a thing. @returns the thing, or what is wrong by field */
export const readThing = (
  thing: unknown,
):
  | { readonly ok: true; readonly thing: Thing }
  | {
      readonly ok: false;
      readonly faults: readonly { readonly field: string; readonly says: string }[];
    } => {
  const read = thingSchema.safeParse(thing);
  return read.success
    ? { ok: true, thing: read.data }
    : {
        ok: false,
        // What is wrong with a field first is told; the rest of it may follow from that.
        faults: firstOfEach(read.error.issues).map(({ path, message }) => ({
          field: String(path[0] ?? ''),
          says: `${headed.get(String(path[0])) ?? 'It'}: ${message}`,
        })),
      };
};

/** Fields that an empty cell leaves as a new thing has them. */
const BLANK = blankThing('', 'other');

const readRow = (
  row: CsvRow,
  columns: ReadonlyMap<ThingField, number>,
): { readonly thing: Thing } | { readonly says: readonly string[] } => {
  const fields: Record<string, unknown> = { ...BLANK };
  const wrong: string[] = [];
  for (const column of THING_COLUMNS) {
    const at = columns.get(column.field);
    if (at === undefined) continue;
    const read = readCell(column, (row.cells[at] ?? '').trim());
    if ('says' in read) wrong.push(`${column.heading}: ${read.says}`);
    else if (read.value !== null) fields[column.field] = read.value;
    else if (column.field === 'name' || column.field === 'is') fields[column.field] = '';
  }
  if (wrong.length > 0) return { says: wrong };
  if (fields['is'] === '') return { says: ['Kind: must be said'] };
  const read = readThing(fields);
  return read.ok ? { thing: read.thing } : { says: read.faults.map(({ says }) => says) };
};

const readRows = (
  [head, ...rows]: readonly CsvRow[],
  modelRefs: ReadonlySet<string>,
): ReadThings => {
  const headings = (head?.cells ?? []).map((cell) => cell.trim().toLowerCase());
  const at = (heading: string) => headings.indexOf(heading.toLowerCase());
  const columns = new Map(
    THING_COLUMNS.flatMap((column): [ThingField, number][] => {
      const found = [at(headingOf(column)), at(column.heading)].find((index) => index >= 0);
      return found === undefined ? [] : [[column.field, found]];
    }),
  );
  if (!columns.has('name') || !columns.has('is'))
    return {
      lines: [],
      faults: [
        { at: 'line 1', says: 'expected a line of headings, with Name and Kind among them' },
      ],
    };
  const idAt = at(ID);
  const known = new Set(
    [ID, ...THING_COLUMNS.flatMap((column) => [headingOf(column), column.heading])].map((name) =>
      name.toLowerCase(),
    ),
  );
  const faults: ThingFault[] = headings.flatMap((heading) =>
    heading === '' || known.has(heading)
      ? []
      : [{ at: 'line 1', says: `nothing is kept in a column “${heading}”` }],
  );
  const lines: ThingLine[] = [];
  const ids = new Map<string, number>();
  const serials = new Map<string, number>();
  for (const row of rows) {
    if (row.cells.every((cell) => cell.trim() === '')) continue;
    const where = `line ${row.line}`;
    const id = idAt < 0 ? '' : (row.cells[idAt] ?? '').trim();
    const read = readRow(row, columns);
    const wrong = 'says' in read ? [...read.says] : [];
    if (id !== '' && !idSchema.safeParse(id).success)
      wrong.push(`Id: “${id}” is none; leave it empty for a new thing`);
    const sameId = id === '' ? undefined : ids.get(id);
    if (sameId !== undefined) wrong.push(`Id: “${id}” stands on line ${sameId} already`);
    if ('thing' in read) {
      const { thing } = read;
      if (thing.modelRef !== null && !modelRefs.has(thing.modelRef))
        wrong.push(`Model: neither the catalogue nor the library has “${thing.modelRef}”`);
      const serial = thing.serial === null ? null : `${thing.modelRef ?? thing.is} ${thing.serial}`;
      const same = serial === null ? undefined : serials.get(serial);
      if (same !== undefined)
        wrong.push(`Serial number: “${thing.serial}” stands on line ${same} already`);
      if (wrong.length === 0) {
        if (serial !== null) serials.set(serial, row.line);
        if (id !== '') ids.set(id, row.line);
        if (lines.length >= MOST_THINGS) {
          faults.push({ at: where, says: `a file brings at most ${MOST_THINGS} things` });
          break;
        }
        lines.push({ line: row.line, id: id === '' ? null : id, thing });
      }
    }
    for (const says of wrong) faults.push({ at: where, says });
  }
  return { lines, faults };
};

/**
 * Reads a table of things.
 * @param modelRefs classes of the catalogue and models of the library that a thing may be of
 * @returns each thing that is sound, by its line, and everything that is wrong with the others
 */
export const thingsFromCsv = (text: string, modelRefs: ReadonlySet<string>): ReadThings => {
  const fault = noTable(text, MOST_LINES);
  return fault ? { lines: [], faults: [fault] } : readRows(rowsOfCsv(text), modelRefs);
};

const cellText = (cell: unknown): string =>
  cell instanceof Date
    ? cell.toISOString().slice(0, 10)
    : typeof cell === 'string' || typeof cell === 'number' || typeof cell === 'boolean'
      ? String(cell)
      : '';

/** The same of a spreadsheet: cells as it holds them, days as dates. */
export const thingsFromCells = (
  cells: readonly (readonly unknown[])[],
  modelRefs: ReadonlySet<string>,
): ReadThings =>
  readRows(
    cells.map((row, index) => ({ line: index + 1, cells: row.map(cellText) })),
    modelRefs,
  );

/** What taking a file comes to. */
export interface ToTake {
  readonly added: readonly ThingLine[];
  readonly changed: readonly (ThingLine & { readonly id: string; readonly from: number })[];
  /** So many stand there already as the file has them */
  readonly same: number;
}

export const toTake = (lines: readonly ThingLine[], there: readonly OwnThing[]): ToTake => {
  const byId = new Map(there.map((own) => [own.id, own]));
  const added: ThingLine[] = [];
  const changed: (ThingLine & { id: string; from: number })[] = [];
  let same = 0;
  for (const line of lines) {
    const own = line.id === null ? undefined : byId.get(line.id);
    if (!own) added.push(line);
    else if (equal(own.thing, line.thing)) same += 1;
    else changed.push({ ...line, id: own.id, from: own.version });
  }
  return { added, changed, same };
};
