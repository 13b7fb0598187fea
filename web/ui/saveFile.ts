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

/** Gives a table to the person as a spreadsheet; the writer is loaded when it is asked for. */
export const saveTable = async (
  name: string,
  sheet: string,
  fields: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): Promise<void> => {
  const { default: writeXlsxFile } = await import('write-excel-file/browser');
  const head = fields.map((value) => ({ value, fontWeight: 'bold' as const }));
  await writeXlsxFile([head, ...rows.map((row) => [...row])], { sheet }).toFile(name);
};
