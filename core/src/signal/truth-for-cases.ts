import { type Chance, seeded } from '../rig/chance';
import type { Recording } from './recording';
import { powerOfTwo, signalOf, spectrumOf } from './spectrum';

/**
 * Recordings whose truth is known: claps in rooms of image sources with a diffuse tail, and noise.
 * Seconds, metres, dB.
 */

export const RATE_HZ = 48_000;

/** @unit m/s, at 20 °C */
const SOUND_M_PER_S = 343.2;

const WHOLE = 2 ** 30;
const uniform = (chance: Chance): number => (chance.integer(0, WHOLE - 1) + 0.5) / WHOLE;
const between = (chance: Chance, least: number, most: number): number =>
  least + (most - least) * uniform(chance);
const normal = (chance: Chance): number =>
  Math.sqrt(-2 * Math.log(uniform(chance))) * Math.cos(2 * Math.PI * uniform(chance));

type Place = readonly [x: number, y: number, z: number];

const apart = (a: Place, b: Place): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** Images are put where they arrive, to a part of a sample, up to here; from here on it is noise that dies away. */
const IMAGES_S = 0.06;
const ORDER = 6;

/** What a room answers to a click. @param rt60S its reverberation time */
export const responseOf = (
  chance: Chance,
  size: Place,
  source: Place,
  microphone: Place,
  rt60S: number,
): Float64Array => {
  const response = new Float64Array(Math.round(1.3 * rt60S * RATE_HZ));
  const volume = size[0] * size[1] * size[2];
  const surface = 2 * (size[0] * size[1] + size[0] * size[2] + size[1] * size[2]);
  const reflected = Math.sqrt(Math.exp((-0.161 * volume) / (rt60S * surface)));
  const put = (atS: number, gain: number): void => {
    const place = atS * RATE_HZ;
    const first = Math.floor(place) - 16;
    for (let at = Math.max(0, first); at <= first + 32 && at < response.length; at++) {
      const x = at - place;
      const sinc = x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
      response[at] = (response[at] ?? 0) + gain * sinc * 0.5 * (1 + Math.cos((Math.PI * x) / 17));
    }
  };
  const axis = (which: 0 | 1 | 2): { at: number; bounces: number }[] =>
    Array.from({ length: 2 * ORDER + 1 }, (_, index) => index - ORDER).flatMap((times) =>
      [0, 1].map((side) => ({
        at: (1 - 2 * side) * source[which] + 2 * times * size[which] - microphone[which],
        bounces: Math.abs(times - side) + Math.abs(times),
      })),
    );
  const [xs, ys, zs] = [axis(0), axis(1), axis(2)];
  for (const x of xs)
    for (const y of ys)
      for (const z of zs) {
        const distance = Math.hypot(x.at, y.at, z.at);
        if (distance / SOUND_M_PER_S > IMAGES_S) continue;
        const bounces = x.bounces + y.bounces + z.bounces;
        put(distance / SOUND_M_PER_S, reflected ** bounces / Math.max(0.05, distance));
      }
  // As many images arrive in a second as a sphere gains volume, each as weak as it is far.
  const density = (4 * Math.PI * SOUND_M_PER_S) / volume;
  for (let at = Math.round(IMAGES_S * RATE_HZ); at < response.length; at++)
    response[at] =
      (response[at] ?? 0) +
      normal(chance) * Math.sqrt((density / RATE_HZ) * Math.exp((-13.816 * at) / RATE_HZ / rt60S));
  return response;
};

/** A sound as a room answers it. */
export const heardThrough = (dry: Float64Array, response: Float64Array): Float64Array => {
  const size = powerOfTwo(dry.length + response.length);
  const [one, other] = [spectrumOf(dry, size), spectrumOf(response, size)];
  for (let bin = 0; bin < size; bin++) {
    const [re, im] = [one[2 * bin] ?? 0, one[2 * bin + 1] ?? 0];
    const [x, y] = [other[2 * bin] ?? 0, other[2 * bin + 1] ?? 0];
    one[2 * bin] = re * x - im * y;
    one[2 * bin + 1] = re * y + im * x;
  }
  return signalOf(one).subarray(0, dry.length + response.length - 1);
};

/** Two hands. */
export const clap = (chance: Chance): Float64Array => {
  const [low, high] = [between(chance, 700, 1300), between(chance, 1500, 3000)];
  const fadeS = between(chance, 0.002, 0.005);
  return Float64Array.from({ length: Math.round(0.03 * RATE_HZ) }, (_, at) => {
    const s = at / RATE_HZ;
    const tone =
      0.8 * normal(chance) +
      0.8 * Math.sin(2 * Math.PI * low * s) +
      0.5 * Math.sin(2 * Math.PI * high * s);
    return tone * Math.exp(-s / fadeS) * (1 - Math.exp(-s / 0.0003));
  });
};

export interface Truth {
  readonly claps: number;
  /** The loudest 50 ms over the noise. @unit dB */
  readonly snrDb: number;
  readonly rt60S: number;
  /** The second one hears other claps */
  readonly isUnrelated?: true;
}

const LENGTH_S = 2.2;

/** Two recordings of the same claps from two places of one room, begun at two moments. */
export const clapPair = (
  seed: number,
  { claps, snrDb, rt60S, isUnrelated }: Truth,
): { readonly a: Float64Array; readonly b: Float64Array; readonly offsetMs: number } => {
  const chance = seeded(seed);
  const size: Place = [between(chance, 4, 8), between(chance, 3.5, 6.5), between(chance, 2.4, 3.6)];
  const somewhere = (margin: number): Place => [
    between(chance, margin, size[0] - margin),
    between(chance, margin, size[1] - margin),
    between(chance, margin, size[2] - margin),
  ];
  const source = somewhere(0.5);
  const near = (): Place => {
    for (;;) {
      const place = somewhere(0.3);
      const distance = apart(place, source);
      if (distance > 0.3 && distance < 3) return place;
    }
  };
  const dry = (): Float64Array => {
    const signal = new Float64Array(Math.round(LENGTH_S * RATE_HZ));
    for (let index = 0; index < claps; index++) {
      const at = Math.round((0.7 + (0.8 * (index + 0.5 * uniform(chance))) / claps) * RATE_HZ);
      for (const [step, value] of clap(chance).entries())
        signal[at + step] = (signal[at + step] ?? 0) + value;
    }
    return signal;
  };
  const recorded = (of: Float64Array, place: Place, startS: number): Float64Array => {
    const wet = heardThrough(of, responseOf(chance, size, source, place, rt60S));
    const from = Math.round(startS * RATE_HZ);
    const signal = wet.slice(from, from + Math.round((LENGTH_S - 0.35) * RATE_HZ));
    const window = Math.round(0.05 * RATE_HZ);
    let [energy, most] = [0, 0];
    for (let at = 0; at < signal.length; at++) {
      energy += (signal[at] ?? 0) ** 2 - (at >= window ? (signal[at - window] ?? 0) ** 2 : 0);
      most = Math.max(most, energy / window);
    }
    const noise = Math.sqrt(most / 10 ** (snrDb / 10));
    return signal.map((value) => value + noise * normal(chance));
  };
  const [placeA, placeB] = [near(), near()];
  const [startA, startB] = [0, 0].map(() => Math.round(uniform(chance) * 0.3 * RATE_HZ) / RATE_HZ);
  const shared = dry();
  const a = recorded(shared, placeA, startA ?? 0);
  const b = recorded(isUnrelated ? dry() : shared, placeB, startB ?? 0);
  const airS = (apart(placeB, source) - apart(placeA, source)) / SOUND_M_PER_S;
  return { a, b, offsetMs: 1000 * (airS - (startB ?? 0) + (startA ?? 0)) };
};

/** Samples that are made in one go. */
const BLOCK = 4800;

/**
 * A long recording, made as it is read: claps at known moments, in noise.
 * @param atS when they are, by a clock that is right @param ppm how much faster its own clock runs
 */
export const longRecording = (
  seed: number,
  {
    lengthS,
    atS,
    ppm,
    startS,
  }: {
    readonly lengthS: number;
    readonly atS: readonly number[];
    readonly ppm: number;
    readonly startS: number;
  },
): Recording => {
  const rate = 1 + ppm / 1e6;
  const samples = Math.round(lengthS * RATE_HZ);
  const claps = atS.map((moment, index) => {
    // By its own clock, to a part of a sample: the clap is shifted by it.
    const place = (moment - startS) * rate * RATE_HZ;
    return { from: Math.floor(place), part: place - Math.floor(place), dry: clap(seeded(index)) };
  });
  const noise = new Map<number, Float32Array>();
  const block = (number: number): Float32Array => {
    const known = noise.get(number % 8);
    if (known) return known;
    const chance = seeded(seed * 100 + (number % 8));
    const made = Float32Array.from({ length: BLOCK }, () => 0.01 * normal(chance));
    noise.set(number % 8, made);
    return made;
  };
  return {
    rateHz: RATE_HZ,
    samples,
    read: (from, count) => {
      const piece = new Float32Array(count);
      for (let at = 0; at < count; at++) {
        const place = from + at;
        if (place >= 0 && place < samples)
          piece[at] = block(Math.floor(place / BLOCK))[place % BLOCK] ?? 0;
      }
      for (const { from: first, part, dry } of claps)
        for (let at = Math.max(first - 16, from); at < first + dry.length + 16; at++) {
          if (at >= from + count) break;
          let sum = 0;
          for (let tap = -12; tap <= 12; tap++) {
            const x = tap - part;
            const sinc = Math.abs(x) < 1e-9 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
            sum += (dry[at - first - tap] ?? 0) * sinc * 0.5 * (1 + Math.cos((Math.PI * x) / 13.5));
          }
          piece[at - from] = (piece[at - from] ?? 0) + 0.6 * sum;
        }
      return Promise.resolve(piece);
    },
  };
};
