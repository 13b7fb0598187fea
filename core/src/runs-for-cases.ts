const TIMES = Number(process.env['PROPERTY_TIMES'] ?? 1);

/** So often a property is tried: a few times in every run, many times as often in `bin/test --long`. */
export const times = (few: number): number => few * TIMES;

/** Cases of every run, and those that only `bin/test --long` has time for. */
export const alsoInLong = <T>(every: readonly T[], long: readonly T[]): readonly T[] =>
  TIMES > 1 ? [...every, ...long] : every;
