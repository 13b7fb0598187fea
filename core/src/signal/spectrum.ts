import FFT from 'fft.js';

/** Spectra of real signals, and what two of them have in common. Samples are −1 to 1. */

const plans = new Map<number, FFT>();
const planOf = (size: number): FFT => {
  const known = plans.get(size);
  if (known) return known;
  const made = new FFT(size);
  plans.set(size, made);
  return made;
};

/** The least power of two that is as large. */
export const powerOfTwo = (least: number): number => 2 ** Math.ceil(Math.log2(Math.max(2, least)));

/**
 * The spectrum of a real signal, padded with nothing behind it.
 * @param size power of two, at least as long as the signal @returns real and imaginary parts in turn, 0 Hz first
 */
export const spectrumOf = (signal: ArrayLike<number>, size: number): Float64Array => {
  const fft = planOf(size);
  const padded = new Float64Array(size);
  for (let at = 0; at < signal.length && at < size; at++) padded[at] = signal[at] ?? 0;
  const out = new Float64Array(2 * size);
  fft.realTransform(out as unknown as number[], padded as unknown as number[]);
  fft.completeSpectrum(out as unknown as number[]);
  return out;
};

/** The real signal of a spectrum. */
export const signalOf = (spectrum: Float64Array): Float64Array => {
  const size = spectrum.length / 2;
  const out = new Float64Array(2 * size);
  planOf(size).inverseTransform(out as unknown as number[], spectrum as unknown as number[]);
  const real = new Float64Array(size);
  for (let at = 0; at < size; at++) real[at] = out[2 * at] ?? 0;
  return real;
};

/** Every second value: how strong each frequency is. @returns power from 0 Hz to half the rate */
export const powerOf = (spectrum: Float64Array): Float64Array => {
  const half = spectrum.length / 4;
  const power = new Float64Array(half + 1);
  for (let bin = 0; bin <= half; bin++) {
    const [re, im] = [spectrum[2 * bin] ?? 0, spectrum[2 * bin + 1] ?? 0];
    power[bin] = re * re + im * im;
  }
  return power;
};
