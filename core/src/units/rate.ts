/** A picture rate as an exact fraction of two whole numbers, in lowest terms. @unit frames (or fields) per second */
export interface Rate {
  readonly num: number;
  readonly den: number;
}

const greatestCommonDivisor = (a: number, b: number): number =>
  b === 0 ? a : greatestCommonDivisor(b, a % b);

/** @param num above 0, whole @param den above 0, whole */
export const rate = (num: number, den = 1): Rate => {
  const divisor = greatestCommonDivisor(num, den);
  return { num: num / divisor, den: den / divisor };
};

export const sameRate = (a: Rate, b: Rate): boolean => a.num * b.den === b.num * a.den;
/** @unit Hz */
export const rateToHz = ({ num, den }: Rate): number => num / den;
/** Length of one frame. @unit ms */
export const frameMs = ({ num, den }: Rate): number => (1000 * den) / num;
/** As spoken: 60, 59.94, 23.98. */
export const rateName = (value: Rate): string =>
  value.den === 1 ? String(value.num) : (Math.round(rateToHz(value) * 100) / 100).toString();

/**
 * True for the pairs that differ by 1000/1001 (59.94 in 60): close enough to be mistaken, far
 * enough to drop frames.
 */
export const nearMissRate = (a: Rate, b: Rate): boolean => {
  const ratio = rateToHz(a) / rateToHz(b);
  return !sameRate(a, b) && Math.abs(ratio - 1) < 0.0015;
};
