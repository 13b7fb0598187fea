/** What chapters of the build book are made of. */

export interface BookTable {
  readonly is: 'table';
  readonly title: string;
  /** Headings with the share of the width that each column takes */
  readonly columns: readonly { readonly heading: string; readonly share: number }[];
  readonly rows: readonly (readonly string[])[];
}

export interface BookWords {
  readonly is: 'words';
  readonly title: string;
  readonly lines: readonly string[];
}

export type BookPart = BookTable | BookWords;

export interface Chapter {
  readonly id: string;
  readonly title: string;
  /** Empty for the loom, which is drawn */
  readonly parts: readonly BookPart[];
}

/** Where a tick goes by hand. */
export const BOX = '☐';

export const column = (heading: string, share: number) => ({ heading, share });

export const table = (
  title: string,
  columns: BookTable['columns'],
  rows: BookTable['rows'],
): BookPart[] => (rows.length === 0 ? [] : [{ is: 'table', title, columns, rows }]);

export const words = (title: string, lines: readonly string[]): BookPart[] =>
  lines.length === 0 ? [] : [{ is: 'words', title, lines }];
