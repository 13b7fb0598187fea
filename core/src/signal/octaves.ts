import { powerOf, powerOfTwo, spectrumOf } from './spectrum';

/** How loud a steady noise is, octave by octave. @source IEC 61260 (bands), IEC 61672 (A-weighting) */

/** Middle of each octave. @unit Hz */
const OCTAVES_HZ = [31.5, 63, 125, 250, 500, 1000, 2000, 4000, 8000, 16_000] as const;
/** Looked at in pieces so long, half over each other. @unit s */
const PIECE_S = 0.17;

export interface Octave {
  readonly bandHz: number;
  /** A full sine is 0. @unit dBFS */
  readonly dbfs: number;
}

export interface Octaves {
  readonly bands: readonly Octave[];
  /** All of it. @unit dBFS */
  readonly dbfs: number;
  /** All of it as ears hear it. @unit dBFS, A-weighted */
  readonly aWeightedDbfs: number;
}

/** A-weighting as a ratio of powers. @source IEC 61672-1, annex E */
const aWeight = (hz: number): number => {
  const f = hz * hz;
  const [low, bass, middle, high] = [20.6, 107.7, 737.9, 12_194].map((pole) => pole * pole) as [
    number,
    number,
    number,
    number,
  ];
  const gain = (high * f * f) / ((f + low) * Math.sqrt((f + bass) * (f + middle)) * (f + high));
  return (gain * 10 ** (2 / 20)) ** 2;
};

const toDb = (power: number): number => 10 * Math.log10(Math.max(power, 1e-20));

/** @param signal at least a fifth of a second @returns null for less */
export const octavesOf = (signal: Float32Array, rateHz: number): Octaves | null => {
  const size = powerOfTwo(PIECE_S * rateHz);
  if (signal.length < size) return null;
  const window = Float64Array.from(
    { length: size },
    (_, at) => 0.5 - 0.5 * Math.cos((2 * Math.PI * at) / size),
  );
  const density = new Float64Array(size / 2 + 1);
  let pieces = 0;
  for (let from = 0; from + size <= signal.length; from += size / 2) {
    const piece = window.map((share, at) => share * (signal[from + at] ?? 0));
    for (const [bin, power] of powerOf(spectrumOf(piece, size)).entries())
      density[bin] = (density[bin] ?? 0) + power;
    pieces += 1;
  }
  // A sine of full scale has half its square as power: doubled, so that it is 0 dBFS.
  const square = window.reduce((sum, share) => sum + share * share, 0);
  const scale = (2 * 2) / (size * square * pieces);
  const between = (fromHz: number, toHz: number, weight: (hz: number) => number): number => {
    let sum = 0;
    for (let bin = 1; bin < density.length; bin++) {
      const hz = (bin * rateHz) / size;
      if (hz >= fromHz && hz < toHz) sum += (density[bin] ?? 0) * weight(hz);
    }
    return scale * sum;
  };
  const alike = (): number => 1;
  return {
    bands: OCTAVES_HZ.filter((hz) => hz * Math.SQRT2 <= rateHz / 2).map((bandHz) => ({
      bandHz,
      dbfs: toDb(between(bandHz / Math.SQRT2, bandHz * Math.SQRT2, alike)),
    })),
    dbfs: toDb(between(0, Infinity, alike)),
    aWeightedDbfs: toDb(between(0, Infinity, aWeight)),
  };
};
