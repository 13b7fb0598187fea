import type { Frame } from './flash';
import { median } from './median';

/** What a film is: its pace by the times of its frames, and what its pictures show. Seconds. */

/** Rates that are meant where a film comes near. @unit Hz */
const USUAL_HZ = [
  24_000 / 1001,
  24,
  25,
  30_000 / 1001,
  30,
  48,
  50,
  60_000 / 1001,
  60,
  100,
  120_000 / 1001,
  120,
] as const;
/** A film of some seconds, written to the millisecond, is no nearer to its rate than this. */
const RATE_WITHIN = 2e-4;
/** Frames come as much beside their time where a film is written to the millisecond. @unit s */
const JITTER_S = 0.0021;
/** Gaps that are named, at most. */
const MOST_NAMED = 20;

/** Where frames are missing. */
export interface Gap {
  readonly atS: number;
  readonly frames: number;
}

export interface Pace {
  readonly frames: number;
  /** From the first frame to the end of the last. @unit s */
  readonly lengthS: number;
  /** Of the frames that follow each other without a gap. @unit Hz */
  readonly rateHz: number;
  /** Whether every frame comes when its rate says, gaps aside */
  readonly isConstant: boolean;
  /** Frames that should stand in the gaps */
  readonly missing: number;
  /** The first of them */
  readonly gaps: readonly Gap[];
}

/**
 * How the frames of a film follow each other.
 * @param timesS when each is shown, in any order @returns null for fewer than three
 */
export const paceOf = (timesS: readonly number[]): Pace | null => {
  const times = Float64Array.from(timesS).sort();
  const [first, last] = [times[0], times.at(-1)];
  if (first === undefined || last === undefined || times.length < 3) return null;
  const steps = Array.from({ length: times.length - 1 }, (_, at) => ({
    atS: times[at] ?? 0,
    lastsS: (times[at + 1] ?? 0) - (times[at] ?? 0),
  }));
  const usualS = median(steps.map(({ lastsS }) => lastsS));
  if (usualS <= 0) return null;
  const close = steps.filter(({ lastsS }) => lastsS < 1.5 * usualS);
  const meanS = close.reduce((sum, { lastsS }) => sum + lastsS, 0) / close.length;
  const near = USUAL_HZ.find((hz) => Math.abs(hz * meanS - 1) < RATE_WITHIN);
  const rateHz = near ?? 1 / meanS;
  const open = steps.flatMap(({ atS, lastsS }) => {
    const frames = lastsS < 1.5 * usualS ? 0 : Math.round(lastsS * rateHz) - 1;
    return frames > 0 ? [{ atS, frames }] : [];
  });
  return {
    frames: times.length,
    lengthS: last - first + meanS,
    rateHz,
    isConstant: close.every(({ lastsS }) => Math.abs(lastsS - meanS) <= JITTER_S),
    missing: open.reduce((sum, { frames }) => sum + frames, 0),
    gaps: open.slice(0, MOST_NAMED),
  };
};

/** A stretch of a film. */
export interface Stretch {
  readonly fromS: number;
  readonly toS: number;
}

export interface Shown {
  /** Frames that were looked at */
  readonly frames: number;
  /** Single frames that are the one before once more, in a picture that moves */
  readonly repeated: number;
  /** Every how many frames one is repeated, where that is regular; else null */
  readonly everyNth: number | null;
  /** Where the picture stands still for a second or longer */
  readonly still: readonly Stretch[];
  /** Where there is nothing but black */
  readonly black: readonly Stretch[];
}

/** A repeated frame changes by less than this share of what the frames before and after it change by. */
const REPEATS = 0.05;
/** The larger of so many to each side: where every picture is shown thrice, the next one is repeated, too. */
const AROUND = 2;
/** Less around it is no movement that would tell. @unit of 255 */
const TELLS = 1;
/** Where the parts of a picture change less than this, it does not move. @unit of 255 */
const MOVES = 0.3;
/** Darker than this is black. @unit of 255 */
const BLACK = 20;
/** A picture that does not move for so long stands still. @unit s */
const STILL_S = 1;

/** How much the part that changes most differs from the frame before. @unit of 255 */
const change = (frames: readonly Frame[], index: number): number => {
  const [now, before] = [frames[index]?.cells, frames[index - 1]?.cells];
  if (!now || !before) return Infinity;
  let most = 0;
  for (let cell = 0; cell < now.length; cell++)
    most = Math.max(most, Math.abs((now[cell] ?? 0) - (before[cell] ?? 0)));
  return most;
};

const isBlack = ({ cells }: Frame): boolean => {
  for (let cell = 0; cell < cells.length; cell++) if ((cells[cell] ?? 0) > BLACK) return false;
  return cells.length > 0;
};

/** Runs of frames for which something holds; `to` is the first after them. */
const runs = (
  count: number,
  holds: (index: number) => boolean,
): { readonly from: number; readonly to: number }[] => {
  const found: { from: number; to: number }[] = [];
  for (let index = 0; index < count; index++) {
    if (!holds(index)) continue;
    const last = found.at(-1);
    if (last?.to === index) last.to = index + 1;
    else found.push({ from: index, to: index + 1 });
  }
  return found;
};

/** What the pictures of a film show, by frames that follow each other. */
export const shownIn = (frames: readonly Frame[]): Shown => {
  const count = frames.length;
  const at = (index: number): number => frames[index]?.atS ?? frames.at(-1)?.atS ?? 0;
  const changes = frames.map((_, index) => change(frames, index));
  const still = runs(count, (index) => (changes[index] ?? 0) < MOVES).filter(
    ({ from, to }) => at(to) - at(from - 1) >= STILL_S,
  );
  const isStill = (index: number): boolean =>
    still.some(({ from, to }) => from <= index && index < to);
  const largest = (from: number, to: number): number =>
    changes.slice(Math.max(1, from), to).reduce((most, one) => Math.max(most, one), 0);
  const single = frames.flatMap((_, index) => {
    const before = largest(index - AROUND, index);
    const around =
      index + 1 === count ? before : Math.min(before, largest(index + 1, index + 1 + AROUND));
    const isRepeated = around >= TELLS && (changes[index] ?? 0) < REPEATS * around;
    return isRepeated && !isStill(index) ? [index] : [];
  });
  const apart = single.slice(1).map((index, before) => index - (single[before] ?? 0));
  const every = median(apart);
  const isRegular =
    apart.length >= 4 && apart.filter((frame) => frame === every).length >= 0.9 * apart.length;
  return {
    frames: count,
    repeated: single.length,
    everyNth: isRegular ? every : null,
    still: still.map(({ from, to }) => ({ fromS: at(from - 1), toS: at(to) })),
    black: runs(count, (index) => {
      const frame = frames[index];
      return frame !== undefined && isBlack(frame);
    }).map(({ from, to }) => ({ fromS: at(from), toS: at(to) })),
  };
};

/** How bright part of a picture is, as shares of white, of what is coded. */
export interface Brightness {
  readonly mean: number;
  /** One pixel of a hundred is darker, one brighter */
  readonly dark: number;
  readonly bright: number;
  /** Shares of its pixels that are quite black, and quite white */
  readonly crushed: number;
  readonly burnt: number;
}

/** Quite black and quite white, as shares of white. */
const ENDS = { black: 0.01, white: 0.99 } as const;

/** Part of a picture, as shares of its width and height. */
export interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/**
 * How bright an area of a picture is.
 * @param lumas of every pixel, 0 to 255, row by row @throws RangeError where no pixel lies in the area
 */
export const brightnessOf = (
  lumas: ArrayLike<number>,
  size: { readonly width: number; readonly height: number },
  area: Area = { x: 0, y: 0, width: 1, height: 1 },
): Brightness => {
  const clamped = (share: number, most: number): number =>
    Math.max(0, Math.min(most, Math.round(share * most)));
  const [left, right] = [area.x, area.x + area.width].map((x) => clamped(x, size.width));
  const [top, bottom] = [area.y, area.y + area.height].map((y) => clamped(y, size.height));
  const values: number[] = [];
  for (let y = top ?? 0; y < (bottom ?? 0); y++)
    for (let x = left ?? 0; x < (right ?? 0); x++)
      values.push((lumas[y * size.width + x] ?? 0) / 255);
  if (values.length === 0) throw new RangeError('the area lies outside the picture');
  values.sort((a, b) => a - b);
  const at = (share: number): number => values[Math.floor(share * (values.length - 1))] ?? 0;
  const share = (holds: (value: number) => boolean): number =>
    values.filter(holds).length / values.length;
  return {
    mean: values.reduce((sum, value) => sum + value, 0) / values.length,
    dark: at(0.01),
    bright: at(0.99),
    crushed: share((value) => value <= ENDS.black),
    burnt: share((value) => value >= ENDS.white),
  };
};
