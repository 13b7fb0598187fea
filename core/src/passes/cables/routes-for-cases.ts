import fc from 'fast-check';
import type { CableWay, PlaceInRoom } from '../../rig';

/** Small plans, and measuring on them by hand, for the cases of routes. Lengths in metres. */

export const way = (...points: readonly PlaceInRoom[]): Omit<CableWay, 'order'> => ({
  name: 'Way',
  is: 'floor',
  points: [...points],
  insideMm2: null,
  bendMm: null,
  carries: 'both',
});

export const flat = (a: PlaceInRoom, b: PlaceInRoom): number =>
  Math.hypot(b.xM - a.xM, b.yM - a.yM);
export const hung = (a: PlaceInRoom, b: PlaceInRoom): number => flat(a, b) + Math.abs(b.zM - a.zM);
export const apart = (a: PlaceInRoom, b: PlaceInRoom): number =>
  Math.hypot(flat(a, b), b.zM - a.zM);

/** The point of a straight piece that lies nearest to another, by halving. */
export const nearestOn = (a: PlaceInRoom, b: PlaceInRoom, end: PlaceInRoom): PlaceInRoom => {
  const at = (share: number): PlaceInRoom => ({
    xM: a.xM + share * (b.xM - a.xM),
    yM: a.yM + share * (b.yM - a.yM),
    zM: a.zM + share * (b.zM - a.zM),
  });
  let [low, high] = [0, 1];
  for (let step = 0; step < 200; step++) {
    const [one, other] = [low + (high - low) / 3, high - (high - low) / 3];
    if (apart(at(one), end) <= apart(at(other), end)) high = other;
    else low = one;
  }
  return at((low + high) / 2);
};

export const anyPoint = fc.record({
  xM: fc.integer({ min: 0, max: 4 }),
  yM: fc.integer({ min: 0, max: 4 }),
  zM: fc.constantFrom(0, 0, 2),
});
/** Off the grid, so that nothing lies just within reach or just beyond. */
export const anySocket = fc.record({
  xM: fc.integer({ min: 0, max: 40 }).map((tenths) => tenths / 10 + 0.033),
  yM: fc.integer({ min: 0, max: 40 }).map((tenths) => tenths / 10 + 0.017),
  zM: fc.constantFrom(0, 0.75, 1.4),
});
