import type { Recording } from './recording';

/** Samples on each side that make one between them. */
const TAPS = 24;
/** Steps between two samples for which the weights are kept. */
const STEPS = 512;

/** Weights of a windowed sinc, by step between two samples. @param share of the band that is kept */
const weightsOf = (share: number): Float64Array =>
  Float64Array.from({ length: (STEPS + 1) * 2 * TAPS }, (_, index) => {
    const [step, tap] = [Math.floor(index / (2 * TAPS)), index % (2 * TAPS)];
    const x = tap - TAPS + 1 - step / STEPS;
    const sinc = x === 0 ? 1 : Math.sin(Math.PI * share * x) / (Math.PI * share * x);
    return share * sinc * 0.5 * (1 + Math.cos((Math.PI * x) / (TAPS + 1)));
  });

/** A recording at another rate. @param rateHz the rate it is to have */
export const resampled = (recording: Recording, rateHz: number): Recording => {
  if (recording.rateHz === rateHz) return recording;
  const ratio = recording.rateHz / rateHz;
  const weights = weightsOf(Math.min(1, 1 / ratio) * 0.97);
  return {
    rateHz,
    samples: Math.floor(recording.samples / ratio),
    read: async (from, count) => {
      const first = Math.floor(from * ratio) - TAPS + 1;
      const piece = await recording.read(first, Math.ceil(count * ratio) + 2 * TAPS + 2);
      const out = new Float32Array(count);
      for (let at = 0; at < count; at++) {
        const place = (from + at) * ratio;
        const whole = Math.floor(place);
        const row = Math.round((place - whole) * STEPS) * 2 * TAPS;
        const begin = whole - TAPS + 1 - first;
        let sum = 0;
        for (let tap = 0; tap < 2 * TAPS; tap++)
          sum += (piece[begin + tap] ?? 0) * (weights[row + tap] ?? 0);
        out[at] = sum;
      }
      return out;
    },
  };
};
