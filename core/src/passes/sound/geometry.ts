import { type Device, type Person, type Point, type Spot, STRAIGHT } from '../../rig';

/**
 * Places on the floor plan. Angles in degrees, 0 up the plan, clockwise. Heights are not known and
 * count as the same.
 */

const RADIANS = Math.PI / 180;

export const distanceBetween = (a: Point, b: Point): number => Math.hypot(b.xM - a.xM, b.yM - a.yM);

/** Which way a point lies from another. @unit degrees, −180 to 180 */
const bearing = (from: Point, to: Point): number =>
  Math.atan2(to.xM - from.xM, to.yM - from.yM) / RADIANS;

/** How far a direction lies clockwise of another. @unit degrees, −180 to 180 */
const clockwise = (from: number, to: number): number => ((((to - from) % 360) + 540) % 360) - 180;

/** Angle of a point off the axis of something that looks its way, clockwise. @unit degrees, −180 to 180 */
export const angleOff = (spot: Spot, to: Point): number =>
  clockwise(spot.facingDeg, bearing(spot, to));

/** A point some way off in a direction. @param metres how far */
const stepped = (from: Point, directionDeg: number, metres: number): Point => ({
  xM: from.xM + metres * Math.sin(directionDeg * RADIANS),
  yM: from.yM + metres * Math.cos(directionDeg * RADIANS),
});

/** A point moved straight away from another, or up the plan where the two are one. @param metres how far */
export const fartherFrom = (from: Point, point: Point, metres: number): Point =>
  stepped(point, distanceBetween(from, point) === 0 ? 0 : bearing(from, point), metres);

/**
 * Where a microphone stands and which way it looks: where it was placed by itself, or in front of
 * its person's mouth as its aim says.
 * @returns null where nothing says it
 */
export const microphoneSpot = (
  device: Device,
  person: Person | undefined,
  distanceM: number | undefined,
): Spot | null => {
  if (device.at) return device.at;
  if (!person?.at || distanceM === undefined) return null;
  const { bearingDeg, offAxisDeg } = device.aim ?? STRAIGHT;
  const towards = person.at.facingDeg + bearingDeg;
  return { ...stepped(person.at, towards, distanceM), facingDeg: towards + 180 + offAxisDeg };
};

/** How far a microphone's own mouth is off its axis. @unit degrees; 0 where nothing says otherwise */
export const ownAngle = (device: Device, person: Person | undefined): number => {
  if (device.at) return person?.at ? Math.abs(angleOff(device.at, person.at)) : 0;
  return Math.abs(clockwise(0, device.aim?.offAxisDeg ?? 0));
};
