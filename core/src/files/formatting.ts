import { entry, type Rig } from '../rig';
import type { CheckedFile, DriveCheck } from './checked';

/** Whether a drive or card may be formatted: only when all of it was read, alike, in two other places. */
export interface Formatting {
  readonly driveId: string;
  readonly name: string;
  readonly mayBe: boolean;
  /** Where its copies were checked and are whole */
  readonly places: readonly string[];
  /** What is lacking; null where nothing */
  readonly why: string | null;
}

/** What a list holds, whatever its files are called and in whatever order: the same text for the same. */
export const contentsOf = (files: readonly CheckedFile[]): string =>
  files
    .map(({ bytes, sha256 }) => `${bytes} ${sha256}`)
    .sort()
    .join('\n');

/** A check of one drive in one place, with what it holds as a text or its digest. */
export type CheckedPlace = Pick<DriveCheck, 'driveId' | 'storeId' | 'lacks'> & {
  readonly contents: string;
};

/**
 * Each drive and card that the show should be on.
 * @param driveIds those that the plan writes to
 */
export const formattingOf = (
  rig: Pick<Rig, 'devices' | 'stores'>,
  driveIds: readonly string[],
  checks: readonly CheckedPlace[],
): Formatting[] =>
  driveIds.map((driveId) => {
    const name = entry(rig.devices, driveId)?.name ?? driveId;
    const its = checks.filter((check) => check.driveId === driveId);
    const source = its.find(({ storeId }) => storeId === null);
    const copies = its.filter(({ storeId, lacks }) => storeId !== null && lacks === 0);
    const placeOf = (storeId: string | null): string =>
      entry(rig.stores, storeId ?? '')?.name ?? storeId ?? name;
    const places = copies.map(({ storeId }) => placeOf(storeId));
    const isShort = its.find(({ storeId, lacks }) => storeId !== null && lacks > 0);
    const kinds = new Set([...copies, ...(source ? [source] : [])].map(({ contents }) => contents));
    const why =
      copies.length >= 2
        ? kinds.size > 1
          ? `What was checked is not the same everywhere: ${[...places, ...(source ? [name] : [])].join(', ')}.`
          : null
        : isShort
          ? `${placeOf(isShort.storeId)} lacks ${isShort.lacks} of its files.`
          : copies.length === 1
            ? `Checked in one place, ${places[0]}: a second is wanted.`
            : 'No copy of it was checked yet.';
    return { driveId, name, mayBe: why === null, places, why };
  });
