import { compareFiles, type FoundFile, isCalled } from '../recorded/compared';
import type { PlannedFile } from '../recorded/written';
import { type CheckedFile, type DriveCheck, MOST_CHECKED } from './checked';

/** A folder against the plan of the show, and against what was there when it was checked before. */

/** A file that was read to its last byte. */
export interface SummedFile extends FoundFile {
  /** Of all of it, in hexadecimal */
  readonly sha256: string;
}

export interface FolderFile {
  readonly found: SummedFile;
  /** What it most likely is; null where nothing like it is planned */
  readonly planned: PlannedFile | null;
  readonly isByName: boolean;
  /** What is wrong with it; none where all is well */
  readonly says: readonly string[];
}

export interface FolderCheck {
  readonly files: readonly FolderFile[];
  /** Names of what should be here and is not */
  readonly missing: readonly string[];
  /** By drive or card, what of it is here */
  readonly drives: readonly Omit<DriveCheck, 'storeId'>[];
}

/** The last part of a path, as far as a list keeps it. */
export const baseName = (path: string): string =>
  (path.split(/[/\\]/).at(-1) ?? path).slice(0, 255);

const key = ({ bytes, sha256 }: { readonly bytes: number; readonly sha256: string }): string =>
  `${bytes} ${sha256}`;

/**
 * What each file of a folder is, and what is wrong with it.
 * @param lengthMin of the show; null = not said
 * @param before what was there when the same show was checked elsewhere; empty where it was not
 */
export const checkFolder = (
  found: readonly SummedFile[],
  planned: readonly PlannedFile[],
  lengthMin: number | null,
  before: readonly CheckedFile[],
): FolderCheck => {
  const firsts = new Map<string, SummedFile>();
  for (const file of found)
    if (file.bytes > 0 && !firsts.has(key(file))) firsts.set(key(file), file);
  // One that is there twice counts once: its length is not the recording's.
  const twinOf = (file: SummedFile): SummedFile | null => {
    const first = firsts.get(key(file));
    return first && first !== file ? first : null;
  };
  const once = found.filter((file) => twinOf(file) === null);
  const compared = compareFiles(once, planned, lengthMin);
  const bySummed = new Map<FoundFile, (typeof compared.files)[number]>(
    compared.files.map((one) => [one.found, one]),
  );
  const sums = new Set(before.map(key));
  const byName = new Map(before.map((one) => [one.name, one]));
  const damage = (file: SummedFile): string[] => {
    const was = byName.get(baseName(file.name));
    if (before.length === 0 || sums.has(key(file))) return [];
    if (!was) return ['it was not there when this show was checked before'];
    return [
      was.bytes === file.bytes
        ? 'damaged: as long as when it was checked before, with another checksum'
        : `damaged: ${file.bytes} bytes, ${was.bytes} when it was checked before`,
    ];
  };
  const files = found.map((file): FolderFile => {
    const twin = twinOf(file);
    if (twin)
      return {
        found: file,
        planned: null,
        isByName: false,
        says: [`the same, to the byte, as ${baseName(twin.name)}`],
      };
    const one = bySummed.get(file);
    return {
      found: file,
      planned: one?.planned ?? null,
      isByName: one?.isByName ?? false,
      says: [...(one?.says ?? []), ...damage(file)],
    };
  });
  const here = new Set(found.map(key));
  const names = new Set(found.map(({ name }) => baseName(name)));
  // What the plan misses by its name is not missed again by the list.
  const gone = before
    .filter((one) => !here.has(key(one)) && !names.has(one.name))
    .map(({ name }) => name)
    .filter((name) => !compared.missing.some((plan) => isCalled(name, plan)));
  const pieces = compared.missingPieces.map(baseName);
  const missing = [...compared.missing.map(({ name }) => name), ...new Set([...pieces, ...gone])];
  const drives = [...new Set(planned.map(({ deviceId }) => deviceId))].flatMap((driveId) => {
    const its = files.filter((file) => file.planned?.deviceId === driveId);
    const lacks =
      compared.missing.filter(({ deviceId }) => deviceId === driveId).length +
      compared.missingPieces.length +
      gone.length +
      its.filter(({ found: { bytes, problem } }) => bytes === 0 || problem !== null).length;
    return its.length === 0 || its.length > MOST_CHECKED
      ? []
      : [
          {
            driveId,
            lacks,
            files: its.map(({ found: { name, bytes, sha256 } }) => ({
              name: baseName(name),
              bytes,
              sha256,
            })),
          },
        ];
  });
  return { files, missing, drives };
};

/** The usual form of a list of checksums: one file a line, its sum first. */
export const sumsText = (files: readonly CheckedFile[]): string =>
  files.map(({ sha256, name }) => `${sha256}  ${name}\n`).join('');
