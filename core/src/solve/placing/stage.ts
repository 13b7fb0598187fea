import { isInside, type Point, type Spot, wallsOf } from '../../rig';

/** A rectangle of floor, and how it lies: people sit at one side of it, cameras stand at the other. */
export interface Stage {
  /** Across what people look along, and along it. @unit m */
  readonly acrossM: number;
  readonly deepM: number;
  /** From across and away to the plan. @param facingDeg 0 is where people look */
  readonly at: (acrossM: number, awayM: number, facingDeg?: number) => Spot;
}

/** Lines of a grid on which the largest rectangle is looked for; corners count, and a few between. */
const linesOf = (values: readonly number[]): number[] => {
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const even = Array.from({ length: 9 }, (_, step) => least + ((most - least) * step) / 8);
  const own = [...new Set(values)].sort((a, b) => a - b).slice(0, 12);
  return [...new Set([...own, ...even])].sort((a, b) => a - b);
};

interface Rectangle {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** Whether a wall goes through the inside of a rectangle: part of it lies there. */
const cuts = ({ left, right, bottom, top }: Rectangle, a: Point, b: Point): boolean => {
  let [start, end] = [0, 1];
  const [dx, dy] = [b.xM - a.xM, b.yM - a.yM];
  for (const [p, q] of [
    [-dx, a.xM - left],
    [dx, right - a.xM],
    [-dy, a.yM - bottom],
    [dy, top - a.yM],
  ] as const) {
    if (p === 0) {
      if (q <= 1e-9) return false;
    } else if (p < 0) start = Math.max(start, q / p);
    else end = Math.min(end, q / p);
  }
  return end - start > 1e-9;
};

/** The largest rectangle along the plan that fits between the walls. @returns null where none does */
export const largestFloor = (corners: readonly Point[]): Rectangle | null => {
  const [xs, ys] = [linesOf(corners.map(({ xM }) => xM)), linesOf(corners.map(({ yM }) => yM))];
  const walls = wallsOf(corners);
  let best: Rectangle | null = null;
  let area = 0;
  for (const left of xs)
    for (const right of xs)
      for (const bottom of ys)
        for (const top of ys) {
          const here = (right - left) * (top - bottom);
          if (right <= left || top <= bottom || here <= area + 1e-9) continue;
          const middle = { xM: (left + right) / 2, yM: (bottom + top) / 2 };
          const floor = { left, right, bottom, top };
          if (!isInside(corners, middle) || walls.some(([a, b]) => cuts(floor, a, b))) continue;
          best = floor;
          area = here;
        }
  return best;
};

/** The four ways in which people can look on a floor: up the plan, right, down, left. */
export const stagesOf = ({ left, right, bottom, top }: Rectangle): readonly Stage[] => {
  const [widthM, heightM] = [right - left, top - bottom];
  return [0, 90, 180, 270].map((towardsDeg): Stage => {
    const isUpright = towardsDeg % 180 === 0;
    const [acrossM, deepM] = isUpright ? [widthM, heightM] : [heightM, widthM];
    const turn = (towardsDeg * Math.PI) / 180;
    const [cos, sin] = [Math.round(Math.cos(turn)), Math.round(Math.sin(turn))];
    const middle = { xM: (left + right) / 2, yM: (bottom + top) / 2 };
    return {
      acrossM,
      deepM,
      at: (across, away, facingDeg = 0) => {
        const [u, v] = [across - acrossM / 2, away - deepM / 2];
        return {
          xM: tidy(middle.xM + u * cos + v * sin),
          yM: tidy(middle.yM - u * sin + v * cos),
          facingDeg: (towardsDeg + facingDeg + 360) % 360,
        };
      },
    };
  });
};

const tidy = (metres: number): number => Number(metres.toFixed(2));
