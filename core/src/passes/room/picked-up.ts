import type { Pattern, Room, Spot } from '../../rig';
import { powerSumDb } from '../../units';
import { angleOff, distanceBetween, distanceInRoom, rise } from '../place';
import { splAt } from '../sound';
import { patternDb, randomEnergyDb } from '../sound/pattern';
import type { Sounding } from './loudspeakers';

/** What a microphone picks up of something else: straight, and by way of the walls. @source handbook 2-sound, room */

/** Distance at which a room is as loud as the voice: `0.057·√(Q·V/RT60)`. @unit m */
export const criticalDistanceM = (q: number, volumeM3: number, rt60S: number): number =>
  0.057 * Math.sqrt((q * volumeM3) / rt60S);

/** The critical distance in a room. @param q directivity @returns null where the room's figures are not known */
export const echoDistanceM = ({ volumeM3, rt60S }: Room, q: number): number | null =>
  volumeM3 === null || rt60S === null ? null : criticalDistanceM(q, volumeM3, rt60S);

/**
 * What a noise makes straight, 1 m away, of what a meter read there in the room: the meter heard its echo as
 * well, `L − 10·log10(1 + (1 m ÷ Dc)²)`.
 * @returns the reading itself where the room is not known @unit dB(A) SPL @source handbook 2-sound, room
 */
export const withoutEcho = (readDba: number, room: Room): number => {
  const fromWallsM = echoDistanceM(room, 1);
  return fromWallsM === null ? readDba : readDba - 10 * Math.log10(1 + fromWallsM ** -2);
};

/** Something other than its own voice that a microphone hears from a place. */
export interface PickedUp {
  readonly id: string;
  readonly name: string;
  readonly distanceM: number;
  /** Off the microphone's axis, clockwise, −180 to 180 */
  readonly angleDeg: number;
  /** Straight from its place, as the pattern hears that side. @unit dB SPL */
  readonly directSpl: number;
  /** By way of the walls, the same everywhere in the room. @unit dB SPL; null where the room is not known */
  readonly echoSpl: number | null;
  /** Both together. @unit dB SPL */
  readonly spl: number;
}

const RADIANS = Math.PI / 180;

/**
 * How far something is off a level axis, that lies off it on the plan and above or below it.
 * @param angleDeg on the plan @param flatM distance on the plan @param riseM how much higher it is
 * @unit degrees
 */
export const tilted = (angleDeg: number, flatM: number, riseM: number): number =>
  riseM === 0
    ? angleDeg
    : Math.acos((flatM * Math.cos(angleDeg * RADIANS)) / Math.hypot(flatM, riseM)) / RADIANS;

/** Everything that sounds somewhere, as a microphone at a place hears it. */
export const pickedUp = (
  room: Room,
  spot: (Spot & { readonly zM: number | null }) | null,
  pattern: Pattern | null,
  sounding: readonly Sounding[],
): PickedUp[] =>
  sounding.flatMap(({ id, name, at, splAt1m }) => {
    if (!spot || !pattern || !at) return [];
    const distanceM = distanceInRoom(spot, at);
    const angleDeg = angleOff(spot, at);
    const directSpl =
      splAt(splAt1m, distanceM) +
      patternDb(pattern, tilted(angleDeg, distanceBetween(spot, at), rise(spot, at)));
    const fromWallsM = echoDistanceM(room, 1);
    const echoSpl =
      fromWallsM === null ? null : splAt1m - 20 * Math.log10(fromWallsM) + randomEnergyDb(pattern);
    return [
      {
        id,
        name,
        distanceM,
        angleDeg,
        directSpl,
        echoSpl,
        spl: echoSpl === null ? directSpl : powerSumDb(directSpl, echoSpl),
      },
    ];
  });
