import { entry, inOrder, type Point, type Rig, type Spot, type Support, type Tape } from '../rig';

/** The marks of a set: where each thing stands, measured from two walls that can be found again. */

export interface Wall {
  /** `lower wall, corner 1 to corner 2` */
  readonly name: string;
  readonly from: Point;
  readonly to: Point;
}

export interface FloorMark {
  readonly id: string;
  readonly name: string;
  /** Distances from the two walls, at right angles to them. @unit m */
  readonly aM: number;
  readonly bM: number;
  /** 0 up the plan, clockwise */
  readonly facingDeg: number;
  /** Of its top, where it has one. @unit m */
  readonly heightM: number | null;
}

export interface MarkSheet {
  /** null where the room is not drawn: distances count from the corner of the plan */
  readonly walls: readonly [Wall, Wall] | null;
  readonly tape: Tape | null;
  readonly marks: readonly FloorMark[];
}

const vector = ({ from, to }: Pick<Wall, 'from' | 'to'>) => ({
  x: to.xM - from.xM,
  y: to.yM - from.yM,
});
const lengthM = (wall: Wall): number => Math.hypot(vector(wall).x, vector(wall).y);

/** Which side of the plan a wall is on, by its middle seen from the middle of the room. */
const sideOf = (wall: Pick<Wall, 'from' | 'to'>, middle: Point): string => {
  const x = (wall.from.xM + wall.to.xM) / 2 - middle.xM;
  const y = (wall.from.yM + wall.to.yM) / 2 - middle.yM;
  const { x: along, y: up } = vector(wall);
  // A wall that runs across the plan is its upper or lower one.
  return Math.abs(along) >= Math.abs(up) ? (y < 0 ? 'lower' : 'upper') : x < 0 ? 'left' : 'right';
};

const wallsOf = (corners: readonly Point[]): Wall[] => {
  const middle = {
    xM: corners.reduce((sum, { xM }) => sum + xM, 0) / corners.length,
    yM: corners.reduce((sum, { yM }) => sum + yM, 0) / corners.length,
  };
  return corners.flatMap((from, at) => {
    const to = corners[(at + 1) % corners.length];
    const next = at + 1 === corners.length ? 1 : at + 2;
    return to
      ? [
          {
            name: `${sideOf({ from, to }, middle)} wall, corner ${at + 1} to corner ${next}`,
            from,
            to,
          },
        ]
      : [];
  });
};

/** Sine of the angle between two walls, without its sign: 1 where they stand at right angles. */
const square = (a: Wall, b: Wall): number => {
  const [one, two] = [vector(a), vector(b)];
  return Math.abs(one.x * two.y - one.y * two.x) / (lengthM(a) * lengthM(b));
};

/** The longest wall, and the longest that stands squarest to it: what is measured from them meets in one point. */
export const markWalls = (corners: readonly Point[]): readonly [Wall, Wall] | null => {
  const walls = wallsOf(corners).filter((wall) => lengthM(wall) > 0.1);
  const [first] = [...walls].sort((a, b) => lengthM(b) - lengthM(a));
  if (!first) return null;
  const [second] = [...walls].sort(
    (a, b) => square(first, b) * lengthM(b) - square(first, a) * lengthM(a),
  );
  return second && square(first, second) > 0.2 ? [first, second] : null;
};

/** @unit m */
export const fromWall = (wall: Wall, { xM, yM }: Point): number => {
  const { x, y } = vector(wall);
  return Math.abs(x * (yM - wall.from.yM) - y * (xM - wall.from.xM)) / lengthM(wall);
};

const topOf = ({ figures }: Support): number | null =>
  'topM' in figures ? figures.topM : 'heightM' in figures ? figures.heightM : null;

/** Everything that stands on the floor in a set. */
export const markSheet = (rig: Rig, setId: string): MarkSheet => {
  const set = entry(rig.sets, setId);
  const walls = rig.shell ? markWalls(rig.shell.corners) : null;
  const mark = (
    id: string,
    name: string,
    at: Spot | null | undefined,
    heightM: number | null,
  ): FloorMark[] =>
    at
      ? [
          {
            id,
            name,
            aM: walls ? fromWall(walls[0], at) : at.yM,
            bM: walls ? fromWall(walls[1], at) : at.xM,
            facingDeg: at.facingDeg,
            heightM,
          },
        ]
      : [];
  return {
    walls,
    tape: entry(rig.tapes, setId) ?? null,
    marks: [
      ...inOrder(rig.people).flatMap(([id, { name, at }]) =>
        mark(`person ${id}`, name, entry(set?.people ?? {}, id) ?? at, null),
      ),
      ...inOrder(rig.supports)
        .filter(
          ([, { figures, onId }]) =>
            onId === null && figures.is !== 'overhead' && figures.is !== 'wall',
        )
        .flatMap(([id, support]) =>
          mark(
            `support ${id}`,
            support.name,
            entry(set?.supports ?? {}, id) ?? support.at,
            topOf(support),
          ),
        ),
      ...inOrder(rig.devices).flatMap(([id, device]) => {
        const placed = entry(set?.devices ?? {}, id) ?? device;
        return placed.on ? [] : mark(`device ${id}`, device.name, placed.at, placed.heightM);
      }),
    ],
  };
};
