import Papa from 'papaparse';

/** A table as comma-separated text. Cells that a spreadsheet would run as a formula are quoted as text. */
export const csvOf = (
  fields: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): string =>
  `${Papa.unparse({ fields: [...fields], data: rows.map((row) => [...row]) }, { escapeFormulae: true })}\r\n`;

/** A row of a table that was read. */
export interface CsvRow {
  /** Where it begins, counted from 1 */
  readonly line: number;
  readonly cells: readonly string[];
}

/** What parts the headings; what stands in the lines below is no guide, since notes hold anything. */
const delimiterOf = (text: string): string => {
  const [head = ''] = text.split(/\r?\n/, 1);
  const count = (mark: string) => head.split(mark).length;
  return [';', '\t'].find((mark) => count(mark) > count(',')) ?? ',';
};

/** What would run as a formula is led by an apostrophe in a file; here it is not. */
const unquoted = (cell: string): string => cell.replace(/^'(?='*[=+\-@\t\r])/, '');

/** Longest line of a table that is read: a note of 5,000 characters in every column fits. */
const LONGEST_LINE = 100_000;

const many = (count: number): string => count.toLocaleString('en-GB');

/** What cannot be a table, found before it is taken apart. */
interface NoTable {
  /** `line 14` */
  readonly at: string;
  readonly says: string;
}

/**
 * Looks at the lines of a table without taking them apart.
 * @param most lines a table may have, the headings among them
 * @returns what cannot be a table; null where it may be one
 */
export const noTable = (text: string, most: number): NoTable | null => {
  // Some programs still end a line with a return alone.
  const ends = text.includes('\n') ? '\n' : '\r';
  let line = 0;
  for (let from = 0; from < text.length;) {
    line++;
    const end = text.indexOf(ends, from);
    const to = end < 0 ? text.length : end;
    if (to - from > LONGEST_LINE)
      return {
        at: `line ${line}`,
        says: `longer than ${many(LONGEST_LINE)} characters; is this a table?`,
      };
    if (line > most)
      return { at: `line ${line}`, says: `a file brings at most ${many(most)} lines` };
    from = to + 1;
  }
  return null;
};

/** Comma-separated text as rows, the headings first. */
export const rowsOfCsv = (text: string): CsvRow[] => {
  const plain = text.replace(/^\uFEFF/, '');
  const { data } = Papa.parse<string[]>(plain, {
    delimiter: delimiterOf(plain),
    skipEmptyLines: false,
  });
  let line = 1;
  return data.map((cells) => {
    const row = { line, cells: cells.map(unquoted) };
    // A cell may hold several lines of its own.
    for (const cell of cells) line += cell.split('\n').length - 1;
    line += 1;
    return row;
  });
};
