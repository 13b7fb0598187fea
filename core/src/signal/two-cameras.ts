import { type Flash, FLASH_EVERY_S, flashesIn, type Frame, momentOf } from './flash';

/** Two cameras in one film of our test page: beside each other in the picture, or one after the other. */
export interface TwoCameras {
  readonly are: 'beside each other' | 'one after the other';
  /** How much later the right one, or the second, sees. @unit ms */
  readonly laterMs: number;
  /** @unit ms */
  readonly spreadMs: number;
  /** When it is cut from one to the other; null where they are beside each other. @unit s */
  readonly cutS: number | null;
}

/** So many of the flashes of each must agree. */
const AGREE = 0.8;
/** Flashes of each, at least */
const LEAST = 5;
/** Two are told apart only where both together fit so much better than one. */
const BETTER = 1.15;

/** Cells of one half of a picture, whose rows are as wide as a film's are high by 16 : 9. */
const half = (frames: readonly Frame[], side: 'left' | 'right', width: number): Frame[] =>
  frames.map(({ atS, cells }) => ({
    atS,
    cells: Array.from(cells).filter((_, cell) => cell % width < width / 2 === (side === 'left')),
  }));

/** From one moment to another, the shorter way around. @unit ms */
const between = (firstS: number, secondS: number): number => {
  const apartS = secondS - firstS;
  return 1000 * (apartS - Math.round(apartS / FLASH_EVERY_S) * FLASH_EVERY_S);
};

interface Moment {
  readonly atS: number;
  readonly eitherS: number;
  readonly count: number;
}

const moment = (flashes: readonly Flash[]): Moment | null => {
  const [first] = flashes;
  if (!first || flashes.length < LEAST) return null;
  const { atS, eitherS, share } = momentOf(flashes, first.byS);
  return share < AGREE ? null : { atS, eitherS, count: share * flashes.length };
};

const apart = (
  first: Moment | null,
  second: Moment | null,
): Pick<TwoCameras, 'laterMs' | 'spreadMs'> | null =>
  first &&
  second && {
    laterMs: between(first.atS, second.atS),
    spreadMs: 1000 * (first.eitherS + second.eitherS),
  };

/** Where a film is cut from one camera to the other, by which flashes agree before and after. */
const cut = (flashes: readonly Flash[]): TwoCameras | null => {
  const [head] = flashes;
  if (!head) return null;
  const alone = momentOf(flashes, head.byS).share * flashes.length;
  let best: { readonly count: number; readonly found: TwoCameras } | null = null;
  for (let at = LEAST; at <= flashes.length - LEAST; at++) {
    const [before, after] = [moment(flashes.slice(0, at)), moment(flashes.slice(at))];
    const both = apart(before, after);
    const count = (before?.count ?? 0) + (after?.count ?? 0);
    if (both && count > (best?.count ?? BETTER * alone))
      best = {
        count,
        found: { ...both, are: 'one after the other', cutS: flashes[at]?.afterS ?? 0 },
      };
  }
  return best?.found ?? null;
};

/**
 * How much later one camera sees than another.
 * @param width cells in a row @returns null where there is one camera alone, or nothing that flashes
 */
export const twoCameras = (frames: readonly Frame[], width = 32): TwoCameras | null => {
  const sides = (['left', 'right'] as const).map((side) =>
    moment(flashesIn(half(frames, side, width))),
  );
  const beside = apart(sides[0] ?? null, sides[1] ?? null);
  if (beside) return { ...beside, are: 'beside each other', cutS: null };
  return cut(flashesIn(frames));
};
