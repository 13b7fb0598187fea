import { powerOf, signalOf, spectrumOf } from './spectrum';

/** How much later one short sound is in another recording of it, by phase alone: to a part of a sample. */

/** Frequencies that are looked at. @unit Hz */
const BAND_HZ = { from: 200, to: 14_000 } as const;

/** The correlation is drawn so much finer than the samples. */
const FINER = 4;

/** A peak is told from what lies around it beyond this. @unit s */
const GUARD_S = 0.00025;
/** So far around it is looked. @unit s */
const AROUND_S = 0.02;

export interface Lag {
  /** How much later it is in the second. @unit samples, in parts */
  readonly samples: number;
  /** The peak over what is usual around it */
  readonly clear: number;
  /** The correlation around the peak, its highest 1; for drawing */
  readonly picture: readonly { readonly samples: number; readonly value: number }[];
}

const smoothed = (power: Float64Array, width: number): Float64Array => {
  const sums = new Float64Array(power.length + 1);
  for (let at = 0; at < power.length; at++) sums[at + 1] = (sums[at] ?? 0) + (power[at] ?? 0);
  return power.map((_, at) => {
    const [from, to] = [Math.max(0, at - width), Math.min(power.length, at + width + 1)];
    return ((sums[to] ?? 0) - (sums[from] ?? 0)) / (to - from);
  });
};

/** The power of noise by frequency, smoothed. @param size of the spectrum */
export const noiseOf = (quiet: ArrayLike<number>, size: number): Float64Array =>
  smoothed(powerOf(spectrumOf(quiet, size)), 20);

/** So much of a picture is kept on each side. @unit steps of the finer correlation */
const PICTURE = 400;

/**
 * Generalised cross-correlation with phase transform; frequencies count less the nearer they are to
 * the noise. The peak lies between samples by a parabola.
 * @param size power of two, at least both lengths together
 * @source handbook 4, Measuring: clap or slate
 */
export const lagOf = (
  a: ArrayLike<number>,
  b: ArrayLike<number>,
  noise: readonly [Float64Array, Float64Array],
  size: number,
  rateHz: number,
): Lag => {
  const [one, other] = [spectrumOf(a, size), spectrumOf(b, size)];
  const shared = new Float64Array(2 * size * FINER);
  const [from, to] = [BAND_HZ.from, BAND_HZ.to].map((hz) => Math.round((hz * size) / rateHz));
  for (let bin = from ?? 1; bin <= (to ?? 0) && bin < size / 2; bin++) {
    const [p, q] = [one[2 * bin] ?? 0, one[2 * bin + 1] ?? 0];
    const [x, y] = [other[2 * bin] ?? 0, other[2 * bin + 1] ?? 0];
    const [powerA, powerB] = [p * p + q * q, x * x + y * y];
    const share =
      Math.max(0, 1 - (2 * (noise[0][bin] ?? 0)) / (powerA + 1e-30)) *
      Math.max(0, 1 - (2 * (noise[1][bin] ?? 0)) / (powerB + 1e-30));
    if (share === 0) continue;
    const weight = share / Math.sqrt(powerA * powerB + 1e-60);
    const [re, im] = [(p * x + q * y) * weight, (p * y - q * x) * weight];
    shared[2 * bin] = re;
    shared[2 * bin + 1] = im;
    const mirrored = size * FINER - bin;
    shared[2 * mirrored] = re;
    shared[2 * mirrored + 1] = -im;
  }
  const line = signalOf(shared);
  const length = line.length;
  const at = (index: number): number => line[(index + length) % length] ?? 0;
  let peak = 0;
  for (let index = 1; index < length; index++) if (at(index) > at(peak)) peak = index;
  const centre = peak > length / 2 ? peak - length : peak;
  const [before, highest, after] = [at(centre - 1), at(centre), at(centre + 1)];
  const bend = before - 2 * highest + after;
  const part = bend === 0 ? 0 : (0.5 * (before - after)) / bend;
  const guard = Math.round(GUARD_S * rateHz * FINER);
  const around = Math.min(length / 2 - 1, Math.round(AROUND_S * rateHz * FINER));
  let [squares, count] = [0, 0];
  for (let index = -around; index <= around; index++) {
    if (Math.abs(index - centre) < guard) continue;
    squares += at(index) ** 2;
    count += 1;
  }
  return {
    samples: (centre + part) / FINER,
    clear: highest / Math.sqrt(squares / Math.max(1, count) + 1e-60),
    picture: Array.from({ length: 2 * PICTURE + 1 }, (_, step) => {
      const index = centre - PICTURE + step;
      return { samples: index / FINER, value: highest > 0 ? at(index) / highest : 0 };
    }),
  };
};
