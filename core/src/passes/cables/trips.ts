import { inOrder, type Point } from '../../rig';
import { pass } from '../pass';
import { groundOfDoor, groundOfWay, openings } from '../place';

/** Floor that people walk on, and how much of a cable on the floor lies there. Lengths in metres. */

/** A door's floor or a walkway. */
export interface TripGround {
  readonly of: 'door' | 'walkway';
  readonly id: string;
  readonly name: string;
  readonly ground: readonly Point[];
}

/** Every door and every walkway, in the rig's order. */
export const tripGrounds = pass('trip grounds', (measured): readonly TripGround[] => [
  ...openings(measured).flatMap((opened): TripGround[] => {
    const ground = groundOfDoor(opened);
    return ground ? [{ of: 'door', id: opened.id, name: opened.opening.name, ground }] : [];
  }),
  ...inOrder(measured.rig.walkways).map(([id, way]): TripGround => ({
    of: 'walkway',
    id,
    name: way.name,
    ground: groundOfWay(way),
  })),
]);

/** A line along a wall lies on the edge of the door's floor: this much inside still counts. @unit m */
const EDGE_M = 1e-6;

/** Twice the area of a triangle, above 0 where it goes round against the clock. */
const turn = (a: Point, b: Point, c: Point): number =>
  (b.xM - a.xM) * (c.yM - a.yM) - (b.yM - a.yM) * (c.xM - a.xM);

/**
 * The part of a straight line that lies within a convex ground, as shares of the line (Cyrus–Beck).
 * @returns null where none of it does
 */
export const within = (
  from: Point,
  to: Point,
  ground: readonly Point[],
): readonly [number, number] | null => {
  const area = ground.reduce((sum, point, index) => {
    const next = ground[(index + 1) % ground.length] ?? point;
    return sum + point.xM * next.yM - next.xM * point.yM;
  }, 0);
  if (Math.abs(area) < EDGE_M) return null;
  const sign = Math.sign(area);
  let [first, last] = [0, 1];
  for (const [index, a] of ground.entries()) {
    const b = ground[(index + 1) % ground.length] ?? a;
    const length = Math.hypot(b.xM - a.xM, b.yM - a.yM);
    if (length === 0) continue;
    const [start, end] = [(sign * turn(a, b, from)) / length, (sign * turn(a, b, to)) / length];
    if (start < -EDGE_M && end < -EDGE_M) return null;
    if (start < -EDGE_M) first = Math.max(first, start / (start - end));
    else if (end < -EDGE_M) last = Math.min(last, start / (start - end));
  }
  return last - first > EDGE_M ? [first, last] : null;
};
