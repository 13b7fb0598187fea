import { holds, meetings, type Pair } from '../passes/time';
import type { Measured } from '../passes/measured';
import { entry, inOrder, type Offset } from '../rig';

/** What was measured of a rig, beside what the rig predicts of the same. Milliseconds; late is positive. */

export interface Calibration {
  readonly id: string;
  /** The source of the sound and the camera, and where they meet */
  readonly soundId: string;
  readonly pictureId: string;
  readonly placeId: string;
  /** When, as a date; null where nobody said */
  readonly on: string | null;
  readonly measuredMs: number;
  readonly spreadMs: number;
  /** As it would be predicted with what was set when it was measured; null where nothing is predicted there */
  readonly predictedMs: number | null;
  /** Measured less predicted */
  readonly offMs: number | null;
  /** Whether it is used now, holds no longer, or was measured anew since; or nothing meets there any more */
  readonly is: 'used' | 'stale' | 'older' | 'gone';
  /** Name of the file it was measured from */
  readonly file: string | null;
}

const isOf = (offset: Offset, { placeId, sound, picture }: Pair): boolean =>
  offset.placeId === placeId &&
  sound.sourceIds.includes(offset.soundId) &&
  picture.sourceIds.includes(offset.pictureId);

const standing = (offset: Offset, pairs: readonly Pair[]): Calibration['is'] => {
  if (pairs.length === 0) return 'gone';
  if (pairs.some(({ measured }) => measured === offset)) return 'used';
  return pairs.some(({ stale }) => stale === offset) ? 'stale' : 'older';
};

/** Every measured offset, the latest first. */
export const calibrations = (measured: Measured): readonly Calibration[] => {
  const all = meetings(measured).flatMap(({ pairs }) => pairs);
  return inOrder(measured.rig.offsets)
    .map(([id, offset]): Calibration => {
      const pairs = all.filter((pair) => isOf(offset, pair));
      // One voice may come by two sockets; what was measured is of the way it reads like.
      const pair = pairs.find((one) => holds(measured, offset, one)) ?? pairs[0];
      const predictedMs =
        pair?.predictedMs === null || pair === undefined
          ? null
          : pair.predictedMs - pair.setMs + offset.setMs;
      return {
        id,
        soundId: offset.soundId,
        pictureId: offset.pictureId,
        placeId: offset.placeId,
        on: offset.on,
        measuredMs: offset.offsetMs,
        spreadMs: offset.spreadMs,
        predictedMs,
        offMs: predictedMs === null ? null : offset.offsetMs - predictedMs,
        is: standing(offset, pairs),
        file: offset.file?.name ?? null,
      };
    })
    .reverse();
};

/** How far predictions are off, of what was measured and holds. @unit ms; null where nothing does */
export const predictionError = (
  of: readonly Calibration[],
): { readonly meanMs: number; readonly worstMs: number; readonly count: number } | null => {
  const off = of.flatMap(({ is, offMs }) => (is === 'used' && offMs !== null ? [offMs] : []));
  if (off.length === 0) return null;
  return {
    meanMs: off.reduce((sum, ms) => sum + ms, 0) / off.length,
    worstMs: off.reduce((worst, ms) => (Math.abs(ms) > Math.abs(worst) ? ms : worst), 0),
    count: off.length,
  };
};

/** A device by its name, also where it left. */
export const calibrationNames = (
  { rig }: Pick<Measured, 'rig'>,
  { soundId, pictureId, placeId }: Calibration,
): { readonly what: string; readonly where: string } => {
  const name = (id: string): string => entry(rig.devices, id)?.name ?? id;
  return { what: `${name(soundId)} and ${name(pictureId)}`, where: name(placeId) };
};
