import type { Analysis, LightSource, Point } from '@echo-loom/core';
import { isInside, lightSources, POOL_M, poolLux } from '@echo-loom/core';
import { contours } from 'd3-contour';
import { type Plane, xOf, yOf } from '@/features/plan/plane';
import { type Shares, shareOf } from './shares';

/** Pools of light: lux at the height of seated eyes over a grid of the room, and lines of equal lux. */

/** Lines are drawn at these, as a meter's stops go. @unit lux */
export const LINES_LUX = [25, 50, 100, 200, 400, 800, 1600, 3200, 6400] as const;

/** Points of the grid along the longer side. */
const POINTS = 72;

export interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly leftM: number;
  readonly bottomM: number;
  readonly stepM: number;
  /** What each source gives at each point, turned up. @unit lux */
  readonly full: readonly { readonly source: LightSource; readonly lux: Float64Array }[];
}

/** The grid over a room. It hangs on where lamps stand and not on their dimmers. */
export const gridOf = (analysis: Analysis): Grid | null => {
  const corners = analysis.rig.shell?.corners;
  if (!corners) return null;
  const [xs, ys] = [corners.map(({ xM }) => xM), corners.map(({ yM }) => yM)];
  const [leftM, bottomM] = [Math.min(...xs), Math.min(...ys)];
  const [wide, deep] = [Math.max(...xs) - leftM, Math.max(...ys) - bottomM];
  const stepM = Math.max(wide, deep) / POINTS;
  const columns = Math.max(2, Math.ceil(wide / stepM) + 1);
  const rows = Math.max(2, Math.ceil(deep / stepM) + 1);
  return {
    columns,
    rows,
    leftM,
    bottomM,
    stepM,
    full: lightSources(analysis).map((source) => ({
      source,
      lux: Float64Array.from({ length: columns * rows }, (_, index) =>
        poolLux(source, {
          xM: leftM + (index % columns) * stepM,
          yM: bottomM + Math.floor(index / columns) * stepM,
          zM: POOL_M,
        }),
      ),
    })),
  };
};

/** All of it together. @param roomLux from the walls */
export const luxOver = (
  { columns, rows, full }: Grid,
  shares: Shares,
  roomLux: number,
): Float64Array => {
  const sum = new Float64Array(columns * rows).fill(roomLux);
  for (const { source, lux } of full) {
    const share = shareOf(source, shares);
    if (share > 0)
      for (let at = 0; at < sum.length; at++) sum[at] = (sum[at] ?? 0) + share * (lux[at] ?? 0);
  }
  return sum;
};

/** A line of equal lux, with the place its figure stands at. */
export interface IsoLux {
  readonly lux: number;
  readonly path: string;
  readonly label: { readonly x: number; readonly y: number } | null;
}

/** Figures stand so far from one another. @unit px */
const APART_PX = 26;
/** Rings shorter than this carry no figure. @unit px */
const SHORT_PX = 90;

const lengthOf = (ring: readonly (readonly number[])[]): number =>
  ring.reduce((sum, [x = 0, y = 0], index) => {
    const [px = x, py = y] = ring[index - 1] ?? [x, y];
    return sum + Math.hypot(x - px, y - py);
  }, 0);

/** Labels stay so far from the walls. @unit px */
const CLEAR_PX = 12;

/** Where the figure of a line stands: the highest point of it that lies well inside the room. */
const labelAt = (
  ring: readonly (readonly [number, number])[],
  corners: readonly Point[],
  plane: Plane,
): IsoLux['label'] => {
  const toPlan = (x: number, y: number): Point => ({
    xM: plane.leftM + x / plane.pxPerM,
    yM: plane.bottomM + (plane.heightPx - y) / plane.pxPerM,
  });
  const clear = ring.filter(([x, y]) =>
    [
      [-2 * CLEAR_PX, 0],
      [2 * CLEAR_PX, 0],
      [0, -CLEAR_PX],
      [0, CLEAR_PX],
    ].every(([dx = 0, dy = 0]) => isInside(corners, toPlan(x + dx, y + dy))),
  );
  const top = clear.reduce<readonly [number, number] | null>(
    (a, b) => (a === null || b[1] < a[1] ? b : a),
    null,
  );
  return top && { x: top[0], y: top[1] + 4 };
};

/** The lines on the drawing. */
export const isoLux = (
  grid: Grid,
  lux: Float64Array,
  plane: Plane,
  corners: readonly Point[],
): IsoLux[] => {
  const toPx = ([column = 0, row = 0]: readonly number[]): [number, number] => {
    // The contours lie half a cell beside the points they are drawn from.
    const at = {
      xM: grid.leftM + (column - 0.5) * grid.stepM,
      yM: grid.bottomM + (row - 0.5) * grid.stepM,
    };
    return [xOf(plane, at), yOf(plane, at)];
  };
  const lines = contours()
    .size([grid.columns, grid.rows])
    .thresholds([...LINES_LUX])([...lux]);
  const taken: { x: number; y: number }[] = [];
  return lines.flatMap(({ value, coordinates }): IsoLux[] => {
    const rings = coordinates.flat().map((ring) => ring.map(toPx));
    if (rings.length === 0) return [];
    const longest = rings.reduce((a, b) => (lengthOf(b) > lengthOf(a) ? b : a));
    const label = lengthOf(longest) < SHORT_PX ? null : labelAt(longest, corners, plane);
    const isFree =
      label && taken.every(({ x, y }) => Math.hypot(x - label.x, y - label.y) > APART_PX);
    if (label && isFree) taken.push(label);
    return [
      {
        lux: value,
        path: rings
          .map((ring) => `M${ring.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`)
          .join(''),
        label: isFree ? label : null,
      },
    ];
  });
};
