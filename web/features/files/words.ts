import { type Analysis, csvOf, entry, type NamedFile } from '@echo-loom/core';

/** `179.0 GB`, `8.23 TB`. */
export const bytesText = (gb: number): string =>
  gb >= 1000
    ? `${(gb / 1000).toFixed(2)} TB`
    : gb >= 1 || gb === 0
      ? `${gb.toFixed(1)} GB`
      : `${(gb * 1000).toFixed(0)} MB`;

/** The list that goes to the edit with the files: what each is, on what, how large. */
export const handOver = ({ rig }: Analysis, files: readonly NamedFile[]): string =>
  csvOf(
    ['File', 'What is in it', 'Drive', 'GB', 'Pieces'],
    files.map(({ name, of, driveId, gb, pieces }) => [
      name,
      of,
      entry(rig.devices, driveId)?.name ?? driveId,
      Math.round(gb * 1000) / 1000,
      pieces,
    ]),
  );
