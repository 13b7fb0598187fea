import { FRAME_S, likelyLags, onsetsOf } from './onsets';
import { type Lag, lagOf, noiseOf } from './phase';
import type { Progress, Recording } from './recording';

/** When one recording hears what another hears: by a clap or a slate, or several along the way. */

/** Something that both recordings hear. */
export interface SharedEvent {
  /** Where it is in the first recording. @unit s */
  readonly atS: number;
  /** How much later it is in the second. @unit ms */
  readonly offsetMs: number;
  /** The peak of the correlation over what is usual around it */
  readonly clear: number;
}

export interface Alignment {
  /** Whether it can be relied on; where not, no figure of it should be shown alone */
  readonly isSure: boolean;
  /** How much later the same is in the second recording, where the first of the events is. @unit ms */
  readonly offsetMs: number;
  /** @unit samples of the first, in parts */
  readonly offsetSamples: number;
  /** How far what was found may be off. @unit ms */
  readonly spreadMs: number;
  /** How much faster the second one's clock runs; null where the events lie too near to each other. @unit ppm */
  readonly driftPpm: number | null;
  readonly driftSpreadPpm: number | null;
  /** What both heard, those that agree, in order */
  readonly events: readonly SharedEvent[];
  /** The correlation of the clearest event, for drawing */
  readonly picture: readonly { readonly ms: number; readonly value: number }[];
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

/** Events that are looked at, at most, spread along the recording. */
const MOST_EVENTS = 24;
/** One event is taken of each stretch of at least this. @unit frames */
const LEAST_STRETCH = 40;
/** An event is at least so strong, as a share of the strongest. */
const WEAK = 0.25;
/** Clocks of recorders differ by less. @unit ppm */
const MOST_PPM = 300;
/** Events of one clock agree within this. @unit ms */
const AGREE_MS = 0.12;
/** Events must lie so far apart to tell how clocks drift. @unit s */
const DRIFT_LEAST_S = 60;

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

type Fine = SharedEvent & Pick<Lag, 'picture'> & { readonly isClearAlone: boolean };

/** One event in both, to a part of a sample. @returns null where the two do not sound alike */
const fine = async (
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

/** Frames at which both begin something, the strongest of each stretch, at a lag that may drift. */
const sharedFrames = (
  a: Float32Array,
  b: Float32Array,
  lag: number,
): { readonly a: number; readonly b: number }[] => {
  const [first, last] = [Math.max(4, 4 - lag), Math.min(a.length, b.length - lag) - 8];
  if (last <= first) return [];
  const stretch = Math.max(LEAST_STRETCH, Math.ceil((last - first) / MOST_EVENTS));
  const found: { a: number; b: number; strength: number }[] = [];
  for (let from = first; from < last; from += stretch) {
    let best = { a: -1, b: -1, strength: 0 };
    for (let frame = from; frame < Math.min(last, from + stretch); frame++) {
      const own = a[frame] ?? 0;
      if (own <= 0) continue;
      // Clocks drift: what begins later may lie a little farther off.
      const play = 2 + Math.ceil((MOST_PPM / 1e6) * Math.abs(frame - first));
      for (let at = frame + lag - play; at <= frame + lag + play; at++) {
        const strength = own * Math.max(0, b[at] ?? 0);
        if (strength > best.strength) best = { a: frame, b: at, strength };
      }
    }
    if (best.a >= 0) found.push(best);
  }
  const most = Math.max(0, ...found.map(({ strength }) => strength));
  return found.filter(({ strength }) => strength >= WEAK * WEAK * most);
};

/** More events that agree, and of one alone the clearer. */
const isBetter = (on: readonly Fine[], than: readonly Fine[]): boolean => {
  const clearest = (list: readonly Fine[]): number => Math.max(0, ...list.map((one) => one.clear));
  return on.length > than.length || (on.length === than.length && clearest(on) > clearest(than));
};

/** Events nearer to each other are one. @unit s */
const APART_S = 0.1;

/** The straight line that most events lie on: offset at 0 s, and how it grows. */
const lineOf = (
  events: readonly Fine[],
): { readonly on: readonly Fine[]; readonly ppm: number } => {
  let best: { on: readonly Fine[]; ppm: number } = { on: [], ppm: 0 };
  const take = (from: Fine, ppm: number): void => {
    const on = events.filter(
      ({ atS, offsetMs }) =>
        Math.abs(offsetMs - from.offsetMs - (ppm / 1000) * (atS - from.atS)) <= AGREE_MS,
    );
    if (isBetter(on, best.on)) best = { on, ppm };
  };
  for (const from of events) {
    take(from, 0);
    for (const to of events) {
      const apartS = to.atS - from.atS;
      if (apartS < DRIFT_LEAST_S) continue;
      const ppm = (1000 * (to.offsetMs - from.offsetMs)) / apartS;
      if (Math.abs(ppm) <= MOST_PPM) take(from, ppm);
    }
  }
  return best;
};

/** Least squares through events. @returns slope, ms/s → ppm is 1,000 times that, and how sure it is */
const slopeOf = (events: readonly SharedEvent[]): { ppm: number; spreadPpm: number } => {
  const count = events.length;
  const mean = (of: (event: SharedEvent) => number): number =>
    events.reduce((sum, event) => sum + of(event), 0) / count;
  const [t, y] = [mean(({ atS }) => atS), mean(({ offsetMs }) => offsetMs)];
  let [squares, products] = [0, 0];
  for (const { atS, offsetMs } of events) {
    squares += (atS - t) ** 2;
    products += (atS - t) * (offsetMs - y);
  }
  const slope = products / squares;
  // An event may be a few samples off, whatever the line through them says.
  return { ppm: 1000 * slope, spreadPpm: (1000 * 2 * EVENT_MS) / Math.sqrt(squares) };
};

/** How far one event may be off. @unit ms */
const EVENT_MS = 0.05;

/** Lags that are tried. */
const MOST_LAGS = 3;

const NOTHING: Alignment = {
  isSure: false,
  offsetMs: 0,
  offsetSamples: 0,
  spreadMs: Infinity,
  driftPpm: null,
  driftSpreadPpm: null,
  events: [],
  picture: [],
};

/**
 * When the second recording hears what the first one hears.
 * @param a @param b at one rate @throws RangeError where their rates differ @throws what `progress` throws
 * @source handbook 4, Measuring: ±0.1 ms at 10 dB of signal to noise in an echo of 0.5 s
 */
export const align = async (
  a: Recording,
  b: Recording,
  progress: Progress = () => undefined,
): Promise<Alignment> => {
  if (a.rateHz !== b.rateHz)
    throw new RangeError(`one is at ${a.rateHz} Hz, the other at ${b.rateHz} Hz`);
  const onsetsA = await onsetsOf(a, (share) => progress(0.45 * share));
  const onsetsB = await onsetsOf(b, (share) => progress(0.45 + 0.45 * share));
  let best: ReturnType<typeof lineOf> = { on: [], ppm: 0 };
  for (const [index, lag] of likelyLags(onsetsA, onsetsB, MOST_LAGS).entries()) {
    const events: Fine[] = [];
    for (const frames of sharedFrames(onsetsA, onsetsB, lag)) {
      const found = await fine(a, b, frames.a, frames.b);
      // One event at the border of two stretches is found twice, and agrees with itself.
      if (found && events.every(({ atS }) => Math.abs(atS - found.atS) > APART_S))
        events.push(found);
    }
    const line = lineOf(events);
    if (isBetter(line.on, best.on)) best = line;
    progress(0.9 + (0.1 * (index + 1)) / MOST_LAGS);
  }
  const events = [...best.on].sort((one, other) => one.atS - other.atS);
  const [first] = events;
  const last = events.at(-1);
  if (!first || !last || (events.length === 1 && !first.isClearAlone)) return NOTHING;
  const drifts = last.atS - first.atS >= DRIFT_LEAST_S ? slopeOf(events) : null;
  const clearest = events.reduce((one, other) => (other.clear > one.clear ? other : one));
  const at0 = drifts
    ? events.reduce(
        (sum, { atS, offsetMs }) => sum + offsetMs - (drifts.ppm / 1000) * (atS - first.atS),
        0,
      ) / events.length
    : ([...events].sort((x, y) => x.offsetMs - y.offsetMs)[events.length >> 1]?.offsetMs ??
      first.offsetMs);
  return {
    isSure: true,
    offsetMs: at0,
    offsetSamples: (at0 * a.rateHz) / 1000,
    spreadMs: 0.1,
    driftPpm: drifts?.ppm ?? null,
    driftSpreadPpm: drifts?.spreadPpm ?? null,
    events: events.map(({ atS, offsetMs, clear }) => ({ atS, offsetMs, clear })),
    picture: clearest.picture.map(({ samples, value }) => ({
      ms: (1000 * samples) / a.rateHz,
      value,
    })),
  };
};
