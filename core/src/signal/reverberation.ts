import { powerOfTwo, signalOf, spectrumOf } from './spectrum';

/** How long a room rings, from a clap or a balloon: indicative. @source ISO 3382-2, Schroeder's integration */

/** Octave bands. @unit Hz */
export const BANDS_HZ = [125, 250, 500, 1000, 2000, 4000] as const;

export interface Ringing {
  readonly bandHz: number;
  /** Twice and more T20, by a line from −5 to −25 dB; null where it stood less than 35 dB over the noise. @unit s */
  readonly rt60S: number | null;
  /** What one clap may be off by chance, one standard deviation. @unit s */
  readonly spreadS: number | null;
  /** From the loudest to the noise. @unit dB */
  readonly rangeDb: number;
}

/** The least a decay stands over the noise. @unit dB @source handbook 4, Measuring */
const LEAST_RANGE_DB = 35;

/** A signal with one octave left, its edges soft. */
const octave = (signal: ArrayLike<number>, bandHz: number, rateHz: number): Float64Array => {
  const size = powerOfTwo(signal.length + rateHz / 10);
  const spectrum = spectrumOf(signal, size);
  const keep = (hz: number): number => {
    // A half-octave to each side, falling off over a sixth of one more.
    const off = Math.abs(Math.log2(Math.max(1e-9, hz) / bandHz)) - 0.5;
    return off <= -1 / 12 ? 1 : off >= 1 / 12 ? 0 : 0.5 * (1 - Math.sin(off * 6 * Math.PI));
  };
  for (let bin = 0; bin < size; bin++) {
    const hz = (Math.min(bin, size - bin) * rateHz) / size;
    const share = keep(hz);
    spectrum[2 * bin] = (spectrum[2 * bin] ?? 0) * share;
    spectrum[2 * bin + 1] = (spectrum[2 * bin + 1] ?? 0) * share;
  }
  return signalOf(spectrum).subarray(0, signal.length);
};

/** Energy is looked at in steps of this. @unit s */
const STEP_S = 0.005;

/** A straight line through points by least squares. @returns its slope */
const slopeOf = (points: readonly (readonly [x: number, y: number])[]): number => {
  const mean = (of: 0 | 1): number =>
    points.reduce((sum, point) => sum + point[of], 0) / points.length;
  const [x, y] = [mean(0), mean(1)];
  const products = points.reduce((sum, [px, py]) => sum + (px - x) * (py - y), 0);
  return products / points.reduce((sum, [px]) => sum + (px - x) ** 2, 0);
};

/** Standard deviation of T20 from one integrated response, in parts. @source ISO 3382-2, 7.1 with n = 10 */
const spreadOf = (rt60S: number, bandHz: number): number =>
  0.88 * rt60S * Math.sqrt(1.19 / ((bandHz / Math.SQRT2) * rt60S));

/** How one band dies away. @param signal from before the clap to where nothing is left of it */
const ringingOf = (signal: ArrayLike<number>, bandHz: number, rateHz: number): Ringing => {
  const band = octave(signal, bandHz, rateHz);
  const step = Math.round(STEP_S * rateHz);
  const energy = Array.from({ length: Math.floor(band.length / step) }, (_, at) => {
    let sum = 0;
    for (let index = at * step; index < (at + 1) * step; index++) sum += (band[index] ?? 0) ** 2;
    return sum / step;
  });
  const loudest = energy.reduce((best, value, at) => (value > (energy[best] ?? 0) ? at : best), 0);
  const tail = energy.slice(Math.floor(0.9 * energy.length));
  const noise = tail.reduce((sum, value) => sum + value, 0) / Math.max(1, tail.length);
  const rangeDb = 10 * Math.log10((energy[loudest] ?? 0) / Math.max(noise, 1e-20));
  const nothing: Ringing = { bandHz, rt60S: null, spreadS: null, rangeDb };
  if (!(rangeDb >= LEAST_RANGE_DB)) return nothing;
  // Cut off where what is left of it is as loud as the noise.
  const around = (at: number): number =>
    [-2, -1, 0, 1, 2].reduce((sum, by) => sum + (energy[at + by] ?? 0), 0) / 5;
  let end = loudest;
  while (end < energy.length - 1 && around(end) > 2 * noise) end += 1;
  const left = energy.map((value) => Math.max(0, value - noise));
  let sum = 0;
  const integrated: number[] = [];
  for (let at = end; at >= loudest; at--) {
    sum += left[at] ?? 0;
    integrated[at] = sum;
  }
  const top = integrated[loudest] ?? 0;
  const points = integrated.flatMap((value, at): (readonly [number, number])[] => {
    const db = 10 * Math.log10(value / top);
    return db <= -5 && db >= -25 ? [[at * STEP_S, db]] : [];
  });
  if (points.length < 3) return nothing;
  const rt60S = -60 / slopeOf(points);
  return { bandHz, rt60S, spreadS: spreadOf(rt60S, bandHz), rangeDb };
};

/** A clap begins here, so much before its loudest. @unit s */
const BEFORE_S = 0.05;
/** A room that is looked at rings at most so long. @unit s */
const MOST_S = 4;

/** How long a room rings, by octave, from the loudest moment of a recording. */
export const reverberation = (signal: Float32Array, rateHz: number): readonly Ringing[] => {
  let loudest = 0;
  for (let at = 0; at < signal.length; at++)
    if (Math.abs(signal[at] ?? 0) > Math.abs(signal[loudest] ?? 0)) loudest = at;
  const from = Math.max(0, loudest - Math.round(BEFORE_S * rateHz));
  const piece = signal.subarray(from, from + Math.round(MOST_S * rateHz));
  return BANDS_HZ.map((bandHz) => ringingOf(piece, bandHz, rateHz));
};

/** Of the bands speech lives in. @returns mean of 500, 1k and 2k Hz and its spread, s; null where one is wanting */
export const middleRt60 = (
  ringing: readonly Ringing[],
): { readonly rt60S: number; readonly spreadS: number } | null => {
  const middle = ringing.filter(({ bandHz }) => bandHz >= 500 && bandHz <= 2000);
  let [sum, squares] = [0, 0];
  for (const { rt60S, spreadS } of middle) {
    if (rt60S === null || spreadS === null) return null;
    sum += rt60S;
    squares += spreadS ** 2;
  }
  return { rt60S: sum / middle.length, spreadS: Math.sqrt(squares) / middle.length };
};
