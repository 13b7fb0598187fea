import { soundMps } from '../units';
import type { Recording } from './recording';
import { powerOfTwo, signalOf, spectrumOf } from './spectrum';
import { median } from './median';

/**
 * Flash and beep: how much later the sound is than the picture in a film of our test page. Seconds, if
 * not said otherwise. @source handbook 4, Measuring: intervals that are not whole frames
 */

/** From one flash to the next: no whole number of frames at any usual rate. @unit s */
export const FLASH_EVERY_S = 1.013;
/** How long the page is white. @unit s */
export const FLASH_LASTS_S = 0.3;

/** The beep rises, so that it fits in one place only. */
const BEEP = { fromHz: 1000, toHz: 5000, lengthS: 0.04 } as const;

/** The beep of the test page; it begins with its flash. */
export const beepOf = (rateHz: number): Float32Array =>
  Float32Array.from({ length: Math.round(BEEP.lengthS * rateHz) }, (_, at) => {
    const s = at / rateHz;
    const turns = BEEP.fromHz * s + ((BEEP.toHz - BEEP.fromHz) * s * s) / (2 * BEEP.lengthS);
    return 0.8 * Math.sin(2 * Math.PI * turns) * Math.sin((Math.PI * s) / BEEP.lengthS);
  });

/** Longer than this nothing is looked at. @unit s */
export const FLASH_MOST_S = 60;

/** A beep stands out so far over what else there is, and is at least this share of the loudest. */
const BEEP_OVER = 8;
const BEEP_SHARE = 0.3;
/** What comes a little before the loudest is the beep itself; the loudest may be an echo. @unit s */
const ECHO_S = 0.008;

/** When beeps begin in a recording. @returns s, in order */
export const beepsIn = async (recording: Recording): Promise<number[]> => {
  const { rateHz } = recording;
  const count = Math.min(recording.samples, Math.round(FLASH_MOST_S * rateHz));
  if (count === 0) return [];
  const signal = await recording.read(0, count);
  const beep = beepOf(rateHz);
  const size = powerOfTwo(count + beep.length);
  const [heard, wanted] = [spectrumOf(signal, size), spectrumOf(beep, size)];
  for (let bin = 0; bin < size; bin++) {
    const [re, im] = [heard[2 * bin] ?? 0, heard[2 * bin + 1] ?? 0];
    const [x, y] = [wanted[2 * bin] ?? 0, wanted[2 * bin + 1] ?? 0];
    // One half of the spectrum alone: the size of what comes back is then the envelope.
    const share = bin < size / 2 ? 2 : 0;
    heard[2 * bin] = share * (re * x + im * y);
    heard[2 * bin + 1] = share * (im * x - re * y);
  }
  const real = signalOf(heard);
  // i times a spectrum: the other part of what comes back, with its sign.
  for (let bin = 0; bin < size; bin++) {
    const re = heard[2 * bin] ?? 0;
    heard[2 * bin] = heard[2 * bin + 1] ?? 0;
    heard[2 * bin + 1] = -re;
  }
  const other = signalOf(heard);
  const fits = Float32Array.from({ length: count }, (_, at) =>
    Math.hypot(real[at] ?? 0, other[at] ?? 0),
  );
  const mean = Math.sqrt(fits.reduce((sum, value) => sum + value * value, 0) / count);
  const most = fits.reduce((best, value) => Math.max(best, value), 0);
  const least = Math.max(BEEP_SHARE * most, BEEP_OVER * mean * 0.5);
  const found: number[] = [];
  const apart = Math.round(0.6 * FLASH_EVERY_S * rateHz);
  for (let at = 0; at < count; at++) {
    if ((fits[at] ?? 0) < least) continue;
    let peak = at;
    for (let next = at; next < Math.min(count, at + apart); next++)
      if ((fits[next] ?? 0) > (fits[peak] ?? 0)) peak = next;
    // The first that is nearly as strong, shortly before the strongest.
    const from = Math.max(1, peak - Math.round(ECHO_S * rateHz));
    let first = peak;
    for (let before = from; before < peak; before++)
      if (
        (fits[before] ?? 0) > 0.5 * (fits[peak] ?? 0) &&
        (fits[before] ?? 0) >= (fits[before - 1] ?? 0) &&
        (fits[before] ?? 0) > (fits[before + 1] ?? 0)
      ) {
        first = before;
        break;
      }
    found.push(first / rateHz);
    at = peak + apart;
  }
  return found;
};

/** One frame of a film: when it is shown, and how bright each part of it is, 0 to 255. */
export interface Frame {
  readonly atS: number;
  readonly cells: ArrayLike<number>;
}

/** Parts of the picture count where they flicker at least half as much as the part that flickers most. */
const FLICKERS = 0.5;
/** The picture flickers at all where it changes by so much. @unit of 255 */
const LEAST_CHANGE = 12;

/** How bright the part that flickers is, frame by frame. @returns null where nothing flickers */
const flickering = (frames: readonly Frame[]): number[] | null => {
  const count = frames[0]?.cells.length ?? 0;
  const ranges = Array.from({ length: count }, (_, cell) => {
    const values = frames.map(({ cells }) => cells[cell] ?? 0).sort((a, b) => a - b);
    const at = (share: number): number => values[Math.floor(share * (values.length - 1))] ?? 0;
    return at(0.95) - at(0.05);
  });
  const most = Math.max(0, ...ranges);
  if (most < LEAST_CHANGE) return null;
  const kept = ranges.flatMap((range, cell) => (range >= FLICKERS * most ? [cell] : []));
  return frames.map(
    ({ cells }) => kept.reduce((sum, cell) => sum + (cells[cell] ?? 0), 0) / kept.length,
  );
};

/** Two frames between which a flash begins. */
export interface Flash {
  readonly afterS: number;
  readonly byS: number;
}

/** Between which two frames each flash begins. */
export const flashesIn = (frames: readonly Frame[]): Flash[] => {
  const bright = flickering(frames);
  if (!bright) return [];
  const sorted = [...bright].sort((a, b) => a - b);
  const at = (share: number): number => sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
  const half = (at(0.1) + at(0.95)) / 2;
  return frames.flatMap((frame, index) => {
    const before = frames[index - 1];
    return before && (bright[index] ?? 0) >= half && (bright[index - 1] ?? 0) < half
      ? [{ afterS: before.atS, byS: frame.atS }]
      : [];
  });
};

export interface FlashFound {
  /** Whether it can be relied on */
  readonly isSure: boolean;
  /** Sound less picture as the film has them. @unit ms */
  readonly offsetMs: number;
  /** @unit ms */
  readonly spreadMs: number;
  readonly flashes: number;
  readonly beeps: number;
  /** Why not, where it is not sure */
  readonly why: string | null;
}

/** A screen shows a flash up to half a frame early or late, and no better is known. @unit ms */
const SCREEN_MS = 2;

/**
 * An offset as it is where it was recorded: without the air between the loudspeaker and the microphone,
 * and as unsure as the screen makes it.
 * @param airM from the loudspeaker to the microphone @param temperatureC of the room; null = 20 @unit ms
 */
export const withoutAir = (
  { offsetMs, spreadMs }: Pick<FlashFound, 'offsetMs' | 'spreadMs'>,
  airM: number,
  temperatureC: number | null,
): Pick<FlashFound, 'offsetMs' | 'spreadMs'> => ({
  offsetMs: offsetMs - (1000 * airM) / soundMps(temperatureC),
  spreadMs: spreadMs + SCREEN_MS,
});

const LEAST_EVENTS = 8;
/** So many of the flashes must agree. */
const AGREE = 0.8;
/** Beeps agree within this. @unit ms */
const BEEP_MS = 3;

/** Moments brought onto the first of them, by how many flashes lie between. */
const folded = (atS: number, firstS: number): number =>
  atS - Math.round((atS - firstS) / FLASH_EVERY_S) * FLASH_EVERY_S;

/**
 * The moment that most flashes allow: each lies between two frames, and no two lie alike in them.
 * @returns s, within one interval, and half of how far it may lie to either side
 */
export const momentOf = (
  flashes: readonly Flash[],
  firstS: number,
): { readonly atS: number; readonly eitherS: number; readonly share: number } => {
  const spans = flashes.map(({ afterS, byS }) => {
    const by = folded(byS, firstS);
    return { from: by - (byS - afterS), to: by };
  });
  const ends = spans.flatMap(({ from, to }) => [from, to]).sort((a, b) => a - b);
  let best = { atS: firstS, eitherS: Infinity, count: 0 };
  for (const [index, to] of ends.entries()) {
    const from = ends[index - 1];
    if (from === undefined || to <= from) continue;
    const middle = (from + to) / 2;
    const count = spans.filter((span) => span.from <= middle && middle <= span.to).length;
    if (count > best.count) best = { atS: middle, eitherS: (to - from) / 2, count };
  }
  return { ...best, share: best.count / Math.max(1, spans.length) };
};

/**
 * How much later sound is than picture in a film of the test page.
 * @param frames in order @param beepsS when beeps begin, by the same clock
 */
export const flashOffset = (frames: readonly Frame[], beepsS: readonly number[]): FlashFound => {
  const flashes = flashesIn(frames);
  const counts = { flashes: flashes.length, beeps: beepsS.length };
  const none = (why: string): FlashFound => ({
    ...counts,
    isSure: false,
    offsetMs: 0,
    spreadMs: Infinity,
    why,
  });
  const [flash] = flashes;
  const [beep] = beepsS;
  if (flash === undefined || flashes.length < LEAST_EVENTS)
    return none(`${flashes.length} flashes were seen; ${LEAST_EVENTS} at least are needed.`);
  if (beep === undefined || beepsS.length < LEAST_EVENTS)
    return none(`${beepsS.length} beeps were heard; ${LEAST_EVENTS} at least are needed.`);
  const seen = momentOf(flashes, flash.byS);
  if (seen.share < AGREE)
    return none('What flickers does not flicker like our page: not at its interval.');
  const heardS = median(beepsS.map((atS) => folded(atS, beep)));
  const apartMs = beepsS.map((atS) => 1000 * Math.abs(folded(atS, beep) - heardS));
  if (apartMs.filter((ms) => ms <= BEEP_MS).length < AGREE * beepsS.length)
    return none('What is heard does not come at the interval of our page.');
  const between = heardS - seen.atS;
  const offsetS = between - Math.round(between / FLASH_EVERY_S) * FLASH_EVERY_S;
  return {
    ...counts,
    isSure: true,
    offsetMs: 1000 * offsetS,
    spreadMs: 1000 * seen.eitherS + median(apartMs),
    why: null,
  };
};
