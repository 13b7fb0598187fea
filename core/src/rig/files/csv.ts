import Papa from 'papaparse';

/** A table as comma-separated text. Cells that a spreadsheet would run as a formula are quoted as text. */
export const csvOf = (
  fields: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): string =>
  `${Papa.unparse({ fields: [...fields], data: rows.map((row) => [...row]) }, { escapeFormulae: true })}\r\n`;
