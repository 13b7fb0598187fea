import { entry, inOrder, type Offset, type Rig } from '../rig';
import { csvOf } from '../rig/files/csv';
import { formatName } from '../units';
import type { NamedFile } from './plan';

/** The list that goes to the edit with the files: what each is, of whom, on what, and how far it is out of step. */

const deviceName = (rig: Rig, id: string | null): string =>
  id === null ? '' : (entry(rig.devices, id)?.name ?? id);

const personOf = (rig: Rig, id: string | null): string =>
  entry(rig.people, entry(rig.devices, id ?? '')?.personId ?? '')?.name ?? '';

const ms = (value: number): string => `${Math.abs(value).toFixed(1)} ms`;

/** The latest that was measured of a file’s source. */
const lastOffset = (rig: Rig, sourceId: string | null): Offset | undefined =>
  inOrder(rig.offsets)
    .map(([, offset]) => offset)
    .filter(({ soundId, pictureId }) => sourceId === soundId || sourceId === pictureId)
    .toSorted((a, b) => (b.on ?? '').localeCompare(a.on ?? ''))[0];

/**
 * How much later than in the sound the same moment stands in what a camera records; sound is what all recordings are
 * laid against. @unit ms; null where nothing was measured of it
 */
export const laterThanSoundMs = (rig: Rig, sourceId: string | null): number | null => {
  const last = lastOffset(rig, sourceId);
  return last === undefined ? null : last.pictureId === sourceId ? 0 - last.offsetMs : 0;
};

/** The same in words; empty where nothing was measured. */
export const offsetText = (rig: Rig, sourceId: string | null): string => {
  const last = lastOffset(rig, sourceId);
  if (!last) return '';
  const { soundId, pictureId, placeId, offsetMs, on } = last;
  return (
    `${deviceName(rig, soundId)} ${ms(offsetMs)} ${offsetMs < 0 ? 'before' : 'after'} ` +
    `${deviceName(rig, pictureId)} at ${deviceName(rig, placeId)}, measured${on === null ? '' : ` ${on}`}`
  );
};

interface Line {
  readonly file: NamedFile;
  readonly person: string;
  readonly source: string;
  readonly drive: string;
  readonly format: string;
  readonly offset: string;
  readonly notes: string;
}

const lineOf = (rig: Rig, file: NamedFile): Line => ({
  file,
  person: personOf(rig, file.sourceId),
  source: file.sourceId === null ? file.of : deviceName(rig, file.sourceId),
  drive: deviceName(rig, file.driveId),
  format: file.format ? formatName(file.format) : 'sound',
  offset: offsetText(rig, file.sourceId),
  notes: file.pieces === 1 ? '' : `in ${file.pieces} pieces: join them first`,
});

export const handOverCsv = (rig: Rig, files: readonly NamedFile[]): string =>
  csvOf(
    ['File', 'Person', 'Camera or source', 'Drive', 'Format', 'Offset', 'GB', 'Notes'],
    files
      .map((file) => lineOf(rig, file))
      .map(({ file, person, source, drive, format, offset, notes }) => [
        file.name,
        person,
        source,
        drive,
        format,
        offset,
        Math.round(file.gb * 1000) / 1000,
        notes,
      ]),
  );

/** The same to be read: a block for each drive, a line for each file. */
export const handOverText = (rig: Rig, files: readonly NamedFile[]): string => {
  const lines = files.map((file) => lineOf(rig, file));
  const drives = [...new Set(lines.map(({ drive }) => drive))];
  return [
    `Files of ${rig.name}`,
    ...drives.flatMap((drive) => [
      '',
      drive,
      ...lines
        .filter((line) => line.drive === drive)
        .map(({ file, person, source, format, offset, notes }) =>
          [
            `  ${file.name}`,
            person === '' ? source : `${source} of ${person}`,
            format,
            `${file.gb.toFixed(2)} GB`,
            offset,
            notes,
          ]
            .filter((part) => part !== '')
            .join('; '),
        ),
    ]),
    '',
  ].join('\n');
};
