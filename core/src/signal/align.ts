import { type Fine, fine, type SharedEvent } from './event';
import { likelyLags, onsetsOf, usualDrift } from './onsets';
import type { Progress, Recording } from './recording';

/** When one recording hears what another hears: by a clap or a slate, or several along the way. */

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

/** Frames at which both begin something, the strongest of each stretch, at a lag that may drift. */
const sharedFrames = (
  a: Float32Array,
  b: Float32Array,
  lag: number,
): { readonly a: number; readonly b: number }[] => {
  const [first, last] = [Math.max(4, 4 - lag), Math.min(a.length, b.length - lag) - 8];
  if (last <= first) return [];
  const usual = usualDrift(Math.max(a.length, b.length));
  const stretch = Math.max(LEAST_STRETCH, Math.ceil((last - first) / MOST_EVENTS));
  const found: { a: number; b: number; strength: number }[] = [];
  for (let from = first; from < last; from += stretch) {
    let best = { a: -1, b: -1, strength: 0 };
    for (let frame = from; frame < Math.min(last, from + stretch); frame++) {
      const own = a[frame] ?? 0;
      if (own <= 0) continue;
      // Clocks drift: what begins later may lie a little farther off.
      const play = 2 + Math.max(usual, Math.ceil((MOST_PPM / 1e6) * Math.abs(frame - first)));
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

interface Line {
  readonly on: readonly Fine[];
  readonly ppm: number;
}

/** The straight line that most events lie on: offset at 0 s, and how it grows. */
const lineOf = (events: readonly Fine[]): Line => {
  let best: Line = { on: [], ppm: 0 };
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

/** Whether events are the same as some of others: found once more from a lag nearby. */
const isPartOf = (on: readonly Fine[], of: readonly Fine[]): boolean =>
  on.every(({ atS, offsetMs }) =>
    of.some(
      (other) =>
        Math.abs(other.atS - atS) < APART_S && Math.abs(other.offsetMs - offsetMs) < 10 * AGREE_MS,
    ),
  );

/**
 * Whether what was found can be relied on. Every clap begins alike, so that some of one show always
 * agree with some of another: it takes one that is clear by itself, two where they tell how clocks
 * drift, or several close to each other that agree twice as often as they do at any other lag.
 * @param next events that agree at the next best lag
 */
const canBeTrusted = (on: readonly Fine[], next: readonly Fine[]): boolean => {
  const clear = on.filter(({ isClearAlone }) => isClearAlone).length;
  const moments = on.map(({ atS }) => atS);
  const drifts = Math.max(...moments) - Math.min(...moments) >= DRIFT_LEAST_S;
  if (on.length < 2 * next.length) return false;
  return clear >= (drifts ? 2 : 1) || (!drifts && on.length >= 2);
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
const MOST_LAGS = 8;

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
  const lines: Line[] = [];
  for (const [index, lag] of likelyLags(onsetsA, onsetsB, MOST_LAGS).entries()) {
    const events: Fine[] = [];
    for (const frames of sharedFrames(onsetsA, onsetsB, lag)) {
      const found = await fine(a, b, frames.a, frames.b);
      // One event at the border of two stretches is found twice, and agrees with itself.
      if (found && events.every(({ atS }) => Math.abs(atS - found.atS) > APART_S))
        events.push(found);
    }
    lines.push(lineOf(events));
    progress(0.9 + (0.1 * (index + 1)) / MOST_LAGS);
  }
  const [best, ...others] = lines.sort((one, other) => (isBetter(one.on, other.on) ? -1 : 1));
  const events = [...(best?.on ?? [])].sort((one, other) => one.atS - other.atS);
  const [first] = events;
  const last = events.at(-1);
  if (
    !first ||
    !last ||
    !canBeTrusted(events, others.find(({ on }) => !isPartOf(on, events))?.on ?? [])
  )
    return NOTHING;
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
