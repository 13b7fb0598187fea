import { cross, dot, fromTo, type InRoom, rightOf, unit, type Vector } from '../place';

/** A camera as a pyramid of sight, and what of a body lies in it. Lengths in metres. */

export interface Camera {
  readonly at: InRoom;
  /** Unit vectors: where it looks, to the right of the picture, and up the picture */
  readonly forward: Vector;
  readonly right: Vector;
  readonly up: Vector;
  /** Half the width and half the height of the picture at 1 m. @unit m */
  readonly halfWidth: number;
  readonly halfHeight: number;
}

/**
 * A camera that looks at a point, its picture level.
 * @param sensorWidthMm active @param sensorHeightMm active @param focalMm above 0
 * @returns null where it would look at itself
 */
export const cameraAt = (
  at: InRoom,
  target: InRoom,
  sensorWidthMm: number,
  sensorHeightMm: number,
  focalMm: number,
): Camera | null => {
  const towards = fromTo(at, target);
  if (Math.hypot(...towards) === 0) return null;
  const forward = unit(towards);
  const right = rightOf(forward);
  return {
    at,
    forward,
    right,
    up: cross(right, forward),
    halfWidth: sensorWidthMm / 2 / focalMm,
    halfHeight: sensorHeightMm / 2 / focalMm,
  };
};

/** Angle of the whole field. @param half half of it at 1 m @unit degrees */
export const fieldDeg = (half: number): number => (2 * Math.atan(half) * 180) / Math.PI;

/** A point as the camera has it: to the right, up, and ahead of the lens. @unit m */
export const seenFrom = ({ at, right, up, forward }: Camera, point: InRoom): Vector => {
  const towards = fromTo(at, point);
  return [dot(towards, right), dot(towards, up), dot(towards, forward)];
};

/** What is nearer to the lens than this is not told apart from it. @unit m */
const NEAREST_M = 0.01;

/** The planes between which a camera sees: inside is where the figure is 0 or more. */
const planes = ({ halfWidth, halfHeight }: Camera, farM: number): ((point: Vector) => number)[] => [
  ([, , z]) => z - NEAREST_M,
  ([, , z]) => farM - z,
  ([x, , z]) => halfWidth * z - x,
  ([x, , z]) => halfWidth * z + x,
  ([, y, z]) => halfHeight * z - y,
  ([, y, z]) => halfHeight * z + y,
];

const cut = (polygon: readonly Vector[], inside: (point: Vector) => number): Vector[] =>
  polygon.flatMap((point, index) => {
    const before = polygon[(index + polygon.length - 1) % polygon.length] ?? point;
    const [a, b] = [inside(before), inside(point)];
    const crosses = a >= 0 !== b >= 0;
    const share = crosses ? a / (a - b) : 0;
    const at: Vector = [
      before[0] + share * (point[0] - before[0]),
      before[1] + share * (point[1] - before[1]),
      before[2] + share * (point[2] - before[2]),
    ];
    return [...(crosses ? [at] : []), ...(b >= 0 ? [point] : [])];
  });

/** Faces of an upright body: below, above, and round it. @param below its corners, in their order */
const facesOf = (below: readonly Vector[], above: readonly Vector[]): (readonly Vector[])[] => [
  below,
  above,
  ...below.map((corner, at) => {
    const next = (at + 1) % below.length;
    return [corner, below[next] ?? corner, above[next] ?? corner, above[at] ?? corner];
  }),
];

/** Where something shows in the picture. −1 is its left or lower edge, 1 its right or upper one. */
export interface InPicture {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
  /** Nearest part that shows, ahead of the lens. @unit m */
  readonly nearM: number;
}

/**
 * What shows of an upright body: each of its faces cut off at the edges of the picture.
 * @param ground its corners seen from above, convex, in their order @param farM nothing farther
 * ahead counts
 * @returns null where nothing of it is in the picture
 */
export const inPicture = (
  camera: Camera,
  ground: readonly { readonly xM: number; readonly yM: number }[],
  fromM: number,
  toM: number,
  farM = Infinity,
): InPicture | null => {
  const [below = [], above = []] = [fromM, toM].map((zM) =>
    ground.map(({ xM, yM }) => seenFrom(camera, { xM, yM, zM })),
  );
  const corners = [...below, ...above];
  // Most bodies lie wholly on one side of most planes: only what goes through them is cut.
  const cuts = planes(camera, farM).filter((inside) => corners.some((at) => inside(at) < 0));
  if (cuts.some((inside) => corners.every((at) => inside(at) < 0))) return null;
  const shown = facesOf(below, above).flatMap((face) =>
    cuts.reduce<readonly Vector[]>((polygon, inside) => cut(polygon, inside), face),
  );
  if (shown.length === 0) return null;
  const across = shown.map(([x, , z]) => x / z / camera.halfWidth);
  const upwards = shown.map(([, y, z]) => y / z / camera.halfHeight);
  return {
    left: Math.min(...across),
    right: Math.max(...across),
    bottom: Math.min(...upwards),
    top: Math.max(...upwards),
    nearM: Math.min(...shown.map(([, , z]) => z)),
  };
};

/** Where a point shows in the picture. @returns null behind the lens */
export const pointInPicture = (
  camera: Camera,
  point: InRoom,
): { readonly x: number; readonly y: number } | null => {
  const [x, y, z] = seenFrom(camera, point);
  return z < NEAREST_M ? null : { x: x / z / camera.halfWidth, y: y / z / camera.halfHeight };
};

/**
 * How far aside of the middle, at a depth, the picture ends. @unit m
 * @source handbook 5: 2.6 m at 53.9° is 1.32 m
 */
export const edgeAsideM = ({ halfWidth }: Pick<Camera, 'halfWidth'>, depthM: number): number =>
  depthM * halfWidth;

/**
 * From how far aside a round thing is wholly out of a level picture: its edge, and the radius over
 * the cosine of half the field. @unit m @source handbook 5
 */
export const roundOutAsideM = (
  camera: Pick<Camera, 'halfWidth'>,
  depthM: number,
  radiusM: number,
): number => edgeAsideM(camera, depthM) + radiusM * Math.hypot(1, camera.halfWidth);

/** Whether a straight line between two points passes through an upright body. */
export const passesThrough = (
  from: InRoom,
  to: InRoom,
  ground: readonly { readonly xM: number; readonly yM: number }[],
  fromM: number,
  toM: number,
): boolean => {
  let [start, end] = [0, 1];
  const keep = (a: number, b: number): void => {
    // Inside is where the figure is 0 or more, at both ends of the line.
    if (a >= 0 && b >= 0) return;
    if (a < 0 && b < 0) [start, end] = [1, 0];
    else if (a < 0) start = Math.max(start, a / (a - b));
    else end = Math.min(end, a / (a - b));
  };
  keep(from.zM - fromM, to.zM - fromM);
  keep(toM - from.zM, toM - to.zM);
  const turning = ground.reduce((sum, corner, at) => {
    const next = ground[(at + 1) % ground.length] ?? corner;
    return sum + corner.xM * next.yM - next.xM * corner.yM;
  }, 0);
  ground.forEach((corner, at) => {
    const next = ground[(at + 1) % ground.length] ?? corner;
    const side = (point: InRoom): number =>
      Math.sign(turning) *
      ((next.xM - corner.xM) * (point.yM - corner.yM) -
        (next.yM - corner.yM) * (point.xM - corner.xM));
    keep(side(from), side(to));
  });
  return start < end;
};
