/** Rectangles on a table, each with what every place costs it: the cheapest places without an overlap. */

/** A place for a thing, by its middle on the table. @unit m */
export interface Place {
  readonly xM: number;
  readonly yM: number;
  readonly cost: number;
}

export interface Packed {
  readonly id: string;
  /** Along the table and across it, as it is turned. @unit m */
  readonly widthM: number;
  readonly depthM: number;
  /** Where it may stand, the cheapest first */
  readonly places: readonly Place[];
}

/** Ground that is taken already. */
export interface Taken {
  readonly xM: number;
  readonly yM: number;
  readonly widthM: number;
  readonly depthM: number;
}

export interface Packing {
  /** A place for each thing, in their order */
  readonly places: readonly Place[];
  readonly cost: number;
  /** Whether every other way was tried or cannot be better */
  readonly isBest: boolean;
  /** No way can cost less than this: everything at its cheapest place, one in another or not */
  readonly atLeast: number;
  /** Places that were tried */
  readonly tried: number;
}

/** A touch is no overlap. @unit m */
const TOUCH_M = 1e-6;

export const overlaps = (a: Taken, b: Taken): boolean =>
  Math.abs(a.xM - b.xM) < (a.widthM + b.widthM) / 2 - TOUCH_M &&
  Math.abs(a.yM - b.yM) < (a.depthM + b.depthM) / 2 - TOUCH_M;

/**
 * The cheapest way to put every thing down, by branch and bound: exact, unless the number of tries
 * runs out, which is said.
 * @param below only what costs less than this counts @param mostTries how many places may be tried
 * @returns null where there is no way that costs less
 */
export const pack = (
  things: readonly Packed[],
  taken: readonly Taken[],
  below: number,
  mostTries: number,
  onTry?: (tried: number) => void,
): Packing | null => {
  // The cheapest that everything from here on can cost.
  const least = new Array<number>(things.length + 1).fill(0);
  for (let at = things.length - 1; at >= 0; at--)
    least[at] = (least[at + 1] ?? 0) + (things[at]?.places[0]?.cost ?? Infinity);
  const down: Taken[] = [...taken];
  const chosen: Place[] = [];
  let best: { places: readonly Place[]; cost: number } | null = null;
  let [bound, tried, isOut] = [below, 0, false];

  const place = (at: number, cost: number): void => {
    const thing = things[at];
    if (!thing) {
      best = { places: [...chosen], cost };
      bound = cost;
      return;
    }
    for (const spot of thing.places) {
      // Places are in the order of their cost: no later one can do better.
      if (cost + spot.cost + (least[at + 1] ?? 0) >= bound - 1e-9) return;
      if (tried >= mostTries) {
        isOut = true;
        return;
      }
      tried++;
      if (tried % 20_000 === 0) onTry?.(tried);
      const ground = { ...spot, widthM: thing.widthM, depthM: thing.depthM };
      if (down.some((other) => overlaps(ground, other))) continue;
      down.push(ground);
      chosen.push(spot);
      place(at + 1, cost + spot.cost);
      chosen.pop();
      down.pop();
    }
  };
  place(0, 0);
  const found = best as { places: readonly Place[]; cost: number } | null;
  return found && { ...found, isBest: !isOut, atLeast: least[0] ?? 0, tried };
};
