/** Choices that are the same every time for the same seed. */
export interface Chance {
  /** A whole number from `least` to `most`, both included */
  readonly integer: (least: number, most: number) => number;
  /** One of a list; undefined where it is empty */
  readonly oneOf: <T>(list: readonly T[]) => T | undefined;
  /** True once in so many times on average */
  readonly once: (inTimes: number) => boolean;
}

/** A small generator of 32 bits: good enough to scatter rigs, and alike on every machine. */
export const seeded = (seed: number): Chance => {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  const integer = (least: number, most: number): number =>
    least + Math.floor(next() * (most - least + 1));
  return {
    integer,
    oneOf: (list) => list[integer(0, list.length - 1)],
    once: (inTimes) => next() * inTimes < 1,
  };
};
