import type { Point } from '../room/schema';

/** Corners of a room in their order; the last leads back to the first. */
export type Corners = readonly Point[];

/** The walls of an outline, each from corner to corner. */
export const wallsOf = (corners: Corners): readonly (readonly [Point, Point])[] =>
  corners.flatMap((from, at) => {
    const to = corners[(at + 1) % corners.length];
    return to ? [[from, to] as const] : [];
  });

/** Twice the area to the left of a line that turns at a point; 0 where it goes straight on. */
const turn = (a: Point, b: Point, c: Point): number =>
  (b.xM - a.xM) * (c.yM - a.yM) - (b.yM - a.yM) * (c.xM - a.xM);

/** @unit m² */
export const areaOf = (corners: Corners): number =>
  Math.abs(wallsOf(corners).reduce((sum, [a, b]) => sum + a.xM * b.yM - b.xM * a.yM, 0)) / 2;

/** @unit m */
export const lengthOfWalls = (corners: Corners): number =>
  wallsOf(corners).reduce((sum, [a, b]) => sum + Math.hypot(b.xM - a.xM, b.yM - a.yM), 0);

/** Whether a point that lies on the line of a wall lies on the wall. */
const isBetween = (a: Point, b: Point, point: Point): boolean =>
  Math.min(a.xM, b.xM) <= point.xM &&
  point.xM <= Math.max(a.xM, b.xM) &&
  Math.min(a.yM, b.yM) <= point.yM &&
  point.yM <= Math.max(a.yM, b.yM);

type Wall = readonly [Point, Point];

/** Whether two walls have a point in common. */
const meet = ([a, b]: Wall, [c, d]: Wall): boolean => {
  const [c1, d1, a1, b1] = [turn(a, b, c), turn(a, b, d), turn(c, d, a), turn(c, d, b)];
  if (c1 * d1 < 0 && a1 * b1 < 0) return true;
  return (
    (c1 === 0 && isBetween(a, b, c)) ||
    (d1 === 0 && isBetween(a, b, d)) ||
    (a1 === 0 && isBetween(c, d, a)) ||
    (b1 === 0 && isBetween(c, d, b))
  );
};

/** Whether a wall turns back over the one before it. */
const turnsBack = ([a, b]: Wall, [, c]: Wall): boolean =>
  turn(a, b, c) === 0 && (b.xM - a.xM) * (c.xM - b.xM) + (b.yM - a.yM) * (c.yM - b.yM) < 0;

/** Whether a point stands in the room or on its walls. */
export const isInside = (corners: Corners, point: Point): boolean => {
  let inside = false;
  for (const [a, b] of wallsOf(corners)) {
    if (turn(a, b, point) === 0 && isBetween(a, b, point)) return true;
    // Counts the walls that a line from the point to the right goes through.
    if (a.yM > point.yM === b.yM > point.yM) continue;
    const crossesAtM = a.xM + ((point.yM - a.yM) / (b.yM - a.yM)) * (b.xM - a.xM);
    if (crossesAtM > point.xM) inside = !inside;
  }
  return inside;
};

/** What keeps corners from being the outline of a room. @returns null where they are one */
export const outlineProblem = (corners: Corners): string | null => {
  const walls = wallsOf(corners);
  if (walls.some(([a, b]) => a.xM === b.xM && a.yM === b.yM)) return 'two corners are the same';
  const [first, second] = corners;
  if (first && second && corners.every((corner) => turn(first, second, corner) === 0))
    return 'the corners stand in one line';
  for (const [at, wall] of walls.entries())
    for (const [other, far] of walls.entries()) {
      if (other <= at) continue;
      const isNext = other === at + 1;
      const isLastToFirst = at === 0 && other === walls.length - 1;
      if (isNext ? turnsBack(wall, far) : isLastToFirst ? turnsBack(far, wall) : meet(wall, far))
        return `the walls from corner ${at + 1} and from corner ${other + 1} cross`;
    }
  return null;
};

/** A rectangle with one corner at the beginning of the plan. @unit m */
export const rectangle = (widthM: number, depthM: number): Point[] => [
  { xM: 0, yM: 0 },
  { xM: widthM, yM: 0 },
  { xM: widthM, yM: depthM },
  { xM: 0, yM: depthM },
];
