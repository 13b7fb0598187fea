import { FRAME_S } from './onsets';
import { type Lag, lagOf, noiseOf } from './phase';
import type { Recording } from './recording';

/** One event that two recordings may both hear: a clap, a slate. */

/** Something that both recordings hear. */
export interface SharedEvent {
  /** Where it is in the first recording. @unit s */
  readonly atS: number;
  /** How much later it is in the second. @unit ms */
  readonly offsetMs: number;
  /** The peak of the correlation over what is usual around it */
  readonly clear: number;
}

/** The event counts from the moment it begins, and fades from here: what comes later is the room. @unit s */
const SHARP = { holdS: 0.001, fadeS: 0.001 } as const;
/** Once more with a little more of it: both must say the same. @unit s */
const WIDER = { holdS: 0.002, fadeS: 0.002 } as const;

/**
 * How clear an event must be: alone, or one of several that agree. Unrelated claps reach 22 and 15 in 200
 * pairs; two that agree by chance within a tenth of a millisecond did not come up.
 */
const CLEAR = { alone: { sharp: 24, wider: 16 }, together: { sharp: 14, wider: 9.5 } } as const;
/** @unit samples */
const AGREE_SAMPLES = 10;

/** Power of two, long enough for both pieces. @unit samples */
const SIZE = 8192;
const PIECE = 4096;
/** Before it begins. @unit samples */
const LEAD = 192;

/** How finely it is looked for where something begins. @unit samples */
const STEP = 24;
/** It begins where it first is so strong, as a share of its strongest, and over the noise. */
const BEGINS = { share: 0.12, overNoise: 6 } as const;

/** Where something begins within a piece. @returns sample of the piece */
const beginsAt = (piece: Float32Array): number => {
  const steps = Math.floor(piece.length / STEP);
  const energy = new Float64Array(steps);
  let most = 0;
  for (let step = 0; step < steps; step++) {
    let sum = 0;
    for (let at = step * STEP; at < (step + 1) * STEP; at++)
      sum += ((piece[at] ?? 0) - (at > 0 ? (piece[at - 1] ?? 0) : 0)) ** 2;
    energy[step] = sum;
    most = Math.max(most, sum);
  }
  const quiet = energy.slice(0, 16).reduce((sum, value) => sum + value, 0) / 16;
  const least = Math.max(BEGINS.share * most, BEGINS.overNoise * quiet);
  const found = energy.findIndex((value) => value > least);
  return Math.max(0, found) * STEP;
};

/** A piece from a little before something begins, faded out behind it. */
const faded = (
  piece: Float32Array,
  begin: number,
  { holdS, fadeS }: { readonly holdS: number; readonly fadeS: number },
  rateHz: number,
): Float32Array => {
  const out = new Float32Array(PIECE);
  for (let at = 0; at < PIECE; at++) {
    const afterS = (at - LEAD) / rateHz;
    const share = afterS < -0.003 ? 0 : afterS < holdS ? 1 : Math.exp(-(afterS - holdS) / fadeS);
    out[at] = (piece[begin - LEAD + at] ?? 0) * share;
  }
  return out;
};

/** Read before an event, to know the noise, and behind it. @unit s */
const BEFORE_S = 0.35;
const BEHIND_S = 0.12;
/** It may begin so much earlier than its frame says. @unit s */
const EARLIER_S = 0.03;

interface Heard {
  readonly piece: Float32Array;
  /** Sample of the recording that the piece begins with */
  readonly from: number;
  /** Where it begins, within the piece */
  readonly begin: number;
}

/** An event as one recording hears it. */
const heardAt = async (recording: Recording, frame: number): Promise<Heard> => {
  const { rateHz } = recording;
  const centre = Math.round(frame * FRAME_S * rateHz);
  const from = centre - Math.round(BEFORE_S * rateHz);
  const piece = await recording.read(from, Math.round((BEFORE_S + BEHIND_S) * rateHz));
  const first = Math.round((BEFORE_S - EARLIER_S) * rateHz);
  const last = Math.round((BEFORE_S + 3 * FRAME_S) * rateHz);
  return { piece, from, begin: first + beginsAt(piece.subarray(first, last)) };
};

/** The noise before an event: the quietest of a few pieces, under the same fading. */
const noiseBefore = ({ piece }: Heard, fading: typeof SHARP | typeof WIDER, rateHz: number) => {
  let best: Float32Array | null = null;
  let least = Infinity;
  for (let begin = LEAD; begin + PIECE / 2 < (BEFORE_S - EARLIER_S) * rateHz; begin += PIECE / 2) {
    const part = faded(piece, begin, fading, rateHz);
    const energy = part.reduce((sum, value) => sum + value * value, 0);
    if (energy < least) [best, least] = [part, energy];
  }
  return noiseOf(best ?? new Float32Array(PIECE), SIZE);
};

export type Fine = SharedEvent & Pick<Lag, 'picture'> & { readonly isClearAlone: boolean };

/** One event in both, to a part of a sample. @returns null where the two do not sound alike */
export const fine = async (
  a: Recording,
  b: Recording,
  frameA: number,
  frameB: number,
): Promise<Fine | null> => {
  const [one, other] = [await heardAt(a, frameA), await heardAt(b, frameB)];
  const { rateHz } = a;
  const lag = (fading: typeof SHARP | typeof WIDER): Lag =>
    lagOf(
      faded(one.piece, one.begin, fading, rateHz),
      faded(other.piece, other.begin, fading, rateHz),
      [noiseBefore(one, fading, rateHz), noiseBefore(other, fading, rateHz)],
      SIZE,
      rateHz,
    );
  const [sharp, wider] = [lag(SHARP), lag(WIDER)];
  if (
    sharp.clear < CLEAR.together.sharp ||
    wider.clear < CLEAR.together.wider ||
    Math.abs(sharp.samples - wider.samples) > AGREE_SAMPLES
  )
    return null;
  const samples = other.from + other.begin - (one.from + one.begin) + sharp.samples;
  return {
    atS: (one.from + one.begin) / rateHz,
    offsetMs: (1000 * samples) / rateHz,
    clear: wider.clear,
    isClearAlone: sharp.clear >= CLEAR.alone.sharp && wider.clear >= CLEAR.alone.wider,
    picture: sharp.picture,
  };
};
