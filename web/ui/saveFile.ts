/** Gives a text to the person as a file, made here in the browser. */
export const saveFile = (name: string, type: string, text: string): void =>
  saveBlob(name, new Blob([text], { type }));

/** Gives something made here in the browser to the person as a file. */
export const saveBlob = (name: string, blob: Blob): void => {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
};

/** A sheet of a spreadsheet. */
export interface TableSheet {
  readonly sheet: string;
  readonly fields: readonly string[];
  readonly rows: readonly (readonly (string | number | null)[])[];
}

/** Gives tables to the person as one spreadsheet; the writer is loaded when it is asked for. */
export const saveTables = async (name: string, sheets: readonly TableSheet[]): Promise<void> => {
  const { default: writeXlsxFile } = await import('write-excel-file/browser');
  await writeXlsxFile(
    sheets.map(({ sheet, fields, rows }) => ({
      sheet,
      data: [
        fields.map((value) => ({ value, fontWeight: 'bold' as const })),
        ...rows.map((row) => [...row]),
      ],
    })),
  ).toFile(name);
};

/** The same of one table. */
export const saveTable = async (
  name: string,
  sheet: string,
  fields: TableSheet['fields'],
  rows: TableSheet['rows'],
): Promise<void> => saveTables(name, [{ sheet, fields, rows }]);
