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

/** Rates are compared modulo two: a frame shown twice is no miss. */
const TIMES = [1, 2, 0.5];
const NEAR = 0.0015;
const EVEN = 1e-9;

/**
 * True for the pairs that differ by 1000/1001, each also with the half or the double of the other (59.94
 * in 60, 29.97 in 60): close enough to be mistaken, far enough to drop frames.
 * @source handbook 3-picture, rates that look alike
 */
export const nearMissRate = (a: Rate, b: Rate): boolean => {
  const ratio = rateToHz(a) / rateToHz(b);
  return TIMES.some((times) => {
    const off = Math.abs(ratio * times - 1);
    return off < NEAR && off > EVEN;
  });
};

/**
 * Time between two frames that slip, of rates that look alike: 29.97 into 30 every 33.4 s, 29.97 into 60
 * and 59.94 into 30 a sixtieth every 16.7 s. @unit s
 */
export const slipS = (a: Rate, b: Rate): number => {
  const [slow, fast] = [rateToHz(a), rateToHz(b)].sort((one, other) => one - other);
  const times = Math.round((fast ?? 0) / (slow ?? 1));
  return 1 / Math.abs((fast ?? 0) - times * (slow ?? 0));
};

/** Whether two rates are the same on a menu: 29.97 is looked up as 30. */
export const nominalRate = (a: Rate, b: Rate): boolean =>
  Math.abs(rateToHz(a) / rateToHz(b) - 1) < NEAR;
