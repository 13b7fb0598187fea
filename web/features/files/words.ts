import { type CheckedFile, type RunEvent, runState } from '@echo-loom/core';

/** `179.0 GB`, `8.23 TB`. */
export const bytesText = (gb: number): string =>
  gb >= 1000
    ? `${(gb / 1000).toFixed(2)} TB`
    : gb >= 1 || gb === 0
      ? `${gb.toFixed(1)} GB`
      : `${(gb * 1000).toFixed(0)} MB`;

/** `2.1 MB`, `14 kB`. */
export const fileSizeText = (bytes: number): string =>
  bytes >= 1e9
    ? bytesText(bytes / 1e9)
    : bytes >= 1e6
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${Math.ceil(bytes / 1000)} kB`;

/**
 * What was found when the same show was checked elsewhere: on the drives themselves, if they were, and else in
 * the place that was checked first.
 * @param place that is checked now; empty for the drives themselves
 */
export const checkedBefore = (
  events: readonly RunEvent[],
  place: string,
): readonly CheckedFile[] => {
  const others = runState(events).checks.filter(({ storeId }) => (storeId ?? '') !== place);
  const itself = others.filter(({ storeId }) => storeId === null);
  const first = others.toSorted((a, b) => a.atMs - b.atMs)[0];
  const from =
    itself.length > 0 ? itself : others.filter(({ storeId }) => storeId === first?.storeId);
  return from.flatMap(({ files }) => files);
};
