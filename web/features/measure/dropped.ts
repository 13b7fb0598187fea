/** What was dropped, with all that is in its folders. */

const filesOf = async (entry: FileSystemEntry): Promise<File[]> => {
  if (entry.isFile) {
    const file = await new Promise<File>((done, fail) =>
      (entry as FileSystemFileEntry).file(done, fail),
    );
    return [file];
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader();
  const found: File[] = [];
  // A folder is handed over a hundred entries at a time.
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((done, fail) =>
      reader.readEntries(done, fail),
    );
    if (some.length === 0) return found;
    for (const one of some) found.push(...(await filesOf(one)));
  }
};

/** @returns every file that was dropped, those in folders too */
export const droppedFiles = async (dropped: DataTransfer): Promise<File[]> => {
  const entries = [...dropped.items].flatMap((item) => item.webkitGetAsEntry() ?? []);
  if (entries.length === 0) return [...dropped.files];
  const found = await Promise.all(entries.map(filesOf));
  return found.flat();
};
