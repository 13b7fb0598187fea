import type { Point, Spot } from '../../rig';

/** Points on the plan and in the room. Angles in degrees, 0 up the plan, clockwise; lengths in metres. */

const RADIANS = Math.PI / 180;

/** A point whose height may not be known: then it counts as level with whatever it is compared with. */
export interface Somewhere extends Point {
  readonly zM: number | null;
}

/** A point in the room, its height known. */
export interface InRoom extends Point {
  readonly zM: number;
}

export const distanceBetween = (a: Point, b: Point): number => Math.hypot(b.xM - a.xM, b.yM - a.yM);

/** How much higher one point is than another; 0 where either height is not known. */
export const rise = (from: { zM: number | null }, to: { zM: number | null }): number =>
  from.zM === null || to.zM === null ? 0 : to.zM - from.zM;

/** Distance through the room; along the plan where a height is not known. @unit m */
export const distanceInRoom = (a: Somewhere, b: Somewhere): number =>
  Math.hypot(distanceBetween(a, b), rise(a, b));

/** Which way a point lies from another. @unit degrees, −180 to 180 */
export const bearing = (from: Point, to: Point): number =>
  Math.atan2(to.xM - from.xM, to.yM - from.yM) / RADIANS;

/** How far a direction lies clockwise of another. @unit degrees, −180 to 180 */
export const clockwise = (from: number, to: number): number =>
  ((((to - from) % 360) + 540) % 360) - 180;

/** Angle of a point off the axis of something that looks its way, clockwise. @unit degrees, −180 to 180 */
export const angleOff = (spot: Spot, to: Point): number =>
  clockwise(spot.facingDeg, bearing(spot, to));

/** A point some way off in a direction. @param metres how far */
export const stepped = (from: Point, directionDeg: number, metres: number): Point => ({
  xM: from.xM + metres * Math.sin(directionDeg * RADIANS),
  yM: from.yM + metres * Math.cos(directionDeg * RADIANS),
});

/** A point moved straight away from another, or up the plan where the two are one. @param metres how far */
export const fartherFrom = (from: Point, point: Point, metres: number): Point =>
  stepped(point, distanceBetween(from, point) === 0 ? 0 : bearing(from, point), metres);

/** A point of something that faces its way: so far to its right, and so far ahead. @unit m */
export const ahead = (spot: Spot, rightM: number, forwardM: number): Point =>
  stepped(stepped(spot, spot.facingDeg, forwardM), spot.facingDeg + 90, rightM);

/** Distance of a point from a line that ends. @unit m */
export const distanceFromLine = (point: Point, from: Point, to: Point): number => {
  const [dx, dy] = [to.xM - from.xM, to.yM - from.yM];
  const squared = dx * dx + dy * dy;
  const along =
    squared === 0 ? 0 : ((point.xM - from.xM) * dx + (point.yM - from.yM) * dy) / squared;
  const share = Math.min(1, Math.max(0, along));
  return distanceBetween(point, { xM: from.xM + share * dx, yM: from.yM + share * dy });
};
