import { inOrder, type Opening, type Point, wallsOf, type Walkway } from '../../rig';
import { pass } from '../pass';
import { bearing, stepped } from './geometry';
import { outlineOf, overlapM, type Solid, solids } from './solid';

/** Doors, windows and ways, and what stands in them. Lengths in metres. */

/** An opening with its place on the plan. */
export interface Opened {
  readonly id: string;
  readonly opening: Opening;
  /** Its two edges along the wall */
  readonly from: Point;
  readonly to: Point;
  /** Into the room, from its middle. @unit degrees */
  readonly inwardDeg: number;
}

/** Every opening whose wall is there, in the rig's order. */
export const openings = pass('openings', ({ rig }): readonly Opened[] => {
  const corners = rig.shell?.corners ?? [];
  const walls = wallsOf(corners);
  // Twice the area, above 0 where the corners go round against the clock.
  const turning = walls.reduce((sum, [a, b]) => sum + a.xM * b.yM - b.xM * a.yM, 0);
  return inOrder(rig.openings).flatMap(([id, opening]) => {
    const wall = walls[opening.wall];
    if (!wall) return [];
    const [a, b] = wall;
    const direction = bearing(a, b);
    return [
      {
        id,
        opening,
        from: stepped(a, direction, opening.alongM - opening.widthM / 2),
        to: stepped(a, direction, opening.alongM + opening.widthM / 2),
        inwardDeg: direction + (turning > 0 ? -90 : 90),
      },
    ];
  });
});

/** A way along the plan as a polygon. */
const strip = (from: Point, to: Point, widthM: number): Point[] => {
  const direction = from.xM === to.xM && from.yM === to.yM ? 0 : bearing(from, to);
  return [
    stepped(from, direction - 90, widthM / 2),
    stepped(from, direction + 90, widthM / 2),
    stepped(to, direction + 90, widthM / 2),
    stepped(to, direction - 90, widthM / 2),
  ];
};

export const groundOfWay = ({ from, to, widthM }: Walkway): Point[] => strip(from, to, widthM);

/** How deep into the room a door that does not swing in must be left free. @unit m */
const BEFORE_DOOR_M = 0.9;

/** The floor that a door needs: its swing, or the step before it. @returns null for what is no door */
export const groundOfDoor = ({ opening, from, to, inwardDeg }: Opened): Point[] | null => {
  if (opening.what !== 'door') return null;
  const depthM = opening.opens === 'in' ? Math.max(opening.widthM, BEFORE_DOOR_M) : BEFORE_DOOR_M;
  return [from, to, stepped(to, inwardDeg, depthM), stepped(from, inwardDeg, depthM)];
};

/** What stands on some ground, from the floor up; what hangs above heads does not. */
export const standsOn = (
  measured: Parameters<typeof solids>[0],
  ground: readonly Point[],
): readonly { readonly solid: Solid; readonly byM: number }[] => {
  const { people, devices, supports } = solids(measured);
  const carried = new Set([...measured.devices()].flatMap(([id, { on }]) => (on ? [id] : [])));
  return [...people, ...supports, ...devices.filter(({ id }) => !carried.has(id))].flatMap(
    (solid) => {
      if (solid.fromM > HEAD_ROOM_M) return [];
      const byM = overlapM(ground, outlineOf(solid));
      return byM > 0 ? [{ solid, byM }] : [];
    },
  );
};

/** What hangs higher than this is walked under. @unit m */
const HEAD_ROOM_M = 2.1;
