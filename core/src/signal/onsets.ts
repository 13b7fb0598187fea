import type { Progress, Recording } from './recording';
import { powerOfTwo, signalOf, spectrumOf } from './spectrum';

/** Where something begins in a recording: how much louder each hundredth of a second is than the one before. */

/** @unit s */
export const FRAME_S = 0.01;

/** So much of a recording is read at once. @unit s */
const PIECE_S = 20;

/**
 * How much louder each frame is than the one before, as the logarithm of its energy, above 0 and less
 * its mean. Low tones and hum are left out by taking differences.
 */
export const onsetsOf = async (
  recording: Recording,
  progress: Progress = () => undefined,
): Promise<Float32Array> => {
  const frame = Math.round(FRAME_S * recording.rateHz);
  const frames = Math.floor(recording.samples / frame);
  const energy = new Float32Array(frames);
  const atOnce = Math.round(PIECE_S / FRAME_S);
  let before = 0;
  for (let first = 0; first < frames; first += atOnce) {
    const count = Math.min(atOnce, frames - first);
    const piece = await recording.read(first * frame, count * frame);
    for (let at = 0; at < count; at++) {
      let sum = 0;
      for (let index = at * frame; index < (at + 1) * frame; index++) {
        const now = piece[index] ?? 0;
        sum += (now - before) ** 2;
        before = now;
      }
      energy[first + at] = sum;
    }
    progress((first + count) / frames);
  }
  const floor = Float32Array.from(energy).sort()[frames >> 1] ?? 0;
  const onsets = new Float32Array(frames);
  let total = 0;
  for (let at = 1; at < frames; at++) {
    const [was, now] = [energy[at - 1] ?? 0, energy[at] ?? 0];
    const rise = Math.max(0, Math.log((now + floor + 1e-12) / (was + floor + 1e-12)));
    onsets[at] = rise;
    total += rise;
  }
  const mean = total / Math.max(1, frames);
  for (let at = 0; at < frames; at++) onsets[at] = (onsets[at] ?? 0) - mean;
  return onsets;
};

/** Lags this near to each other are one. @unit frames */
const APART = 5;

/** Clocks of recorders usually differ by no more. @unit parts */
const USUAL_DRIFT = 60e-6;

/** How far what fits may move along a recording of so many frames. @unit frames */
export const usualDrift = (frames: number): number => Math.floor(USUAL_DRIFT * frames);

/** Sums over so many values to each side of each, in a circle. */
const overWidth = (line: Float64Array, each: number): Float64Array => {
  const size = line.length;
  const out = new Float64Array(size);
  let sum = 0;
  for (let at = -each; at <= each; at++) sum += line[(at + size) % size] ?? 0;
  for (let at = 0; at < size; at++) {
    out[at] = sum;
    sum += (line[(at + each + 1) % size] ?? 0) - (line[(at - each + size) % size] ?? 0);
  }
  return out;
};

/**
 * How many frames later things begin in another recording: the likeliest, the best first.
 * @param most how many of them
 */
export const likelyLags = (a: Float32Array, b: Float32Array, most: number): number[] => {
  const size = powerOfTwo(a.length + b.length);
  const [one, other] = [spectrumOf(a, size), spectrumOf(b, size)];
  for (let bin = 0; bin < size; bin++) {
    const [re, im] = [one[2 * bin] ?? 0, one[2 * bin + 1] ?? 0];
    const [x, y] = [other[2 * bin] ?? 0, other[2 * bin + 1] ?? 0];
    one[2 * bin] = re * x + im * y;
    one[2 * bin + 1] = re * y - im * x;
  }
  const shared = signalOf(one);
  const found: number[] = [];
  const takeFrom = (line: Float64Array, upTo: number): void => {
    while (found.length < upTo) {
      let best = -1;
      for (let at = 0; at < size; at++) {
        const lag = at > size / 2 ? at - size : at;
        if (found.some((known) => Math.abs(known - lag) <= APART)) continue;
        if (best < 0 || (line[at] ?? 0) > (line[best] ?? 0)) best = at;
      }
      if (best < 0) return;
      found.push(best > size / 2 ? best - size : best);
    }
  };
  const play = usualDrift(Math.max(a.length, b.length));
  if (play === 0) takeFrom(shared, most);
  else {
    // Where clocks drift what fits lies beside each other: half of them are sought over that width.
    takeFrom(shared, Math.ceil(most / 2));
    takeFrom(overWidth(shared, play), most);
  }
  return found;
};
