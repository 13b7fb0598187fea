/** Loudness of a programme, as it is delivered. @source ITU-R BS.1770, EBU R 128 */

interface Biquad {
  readonly b: readonly [number, number, number];
  readonly a: readonly [number, number];
}

/** The head's shelf, and the filter that leaves out what is not heard: at 48 kHz those of the standard. */
const weighting = (rateHz: number): readonly [Biquad, Biquad] => {
  const shelf = ((): Biquad => {
    const [hz, db, q] = [1681.974450955533, 3.999843853973347, 0.7071752369554196];
    const k = Math.tan((Math.PI * hz) / rateHz);
    const high = 10 ** (db / 20);
    const band = high ** 0.4996667741545416;
    const all = 1 + k / q + k * k;
    return {
      b: [
        (high + (band * k) / q + k * k) / all,
        (2 * (k * k - high)) / all,
        (high - (band * k) / q + k * k) / all,
      ],
      a: [(2 * (k * k - 1)) / all, (1 - k / q + k * k) / all],
    };
  })();
  const low = ((): Biquad => {
    const [hz, q] = [38.13547087602444, 0.5003270373238773];
    const k = Math.tan((Math.PI * hz) / rateHz);
    const all = 1 + k / q + k * k;
    return { b: [1, -2, 1], a: [(2 * (k * k - 1)) / all, (1 - k / q + k * k) / all] };
  })();
  return [shelf, low];
};

/** Blocks of 0.4 s, a new one every 0.1 s. */
const STEP_S = 0.1;
const STEPS = 4;
/** Blocks below count for nothing; then those 10 LU below what is left. @unit LUFS */
const ABSOLUTE = -70;
const RELATIVE = -10;

const loudnessOf = (power: number): number => -0.691 + 10 * Math.log10(power);

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** What a recording is, gone through once. */
export interface Loudness {
  /** Integrated; null where nothing was above the gate. @unit LUFS */
  readonly lufs: number | null;
  /** RMS of the same blocks, unweighted, of all channels alike; a full sine is 0. @unit dBFS @source AES17 */
  readonly averageDbfs: number | null;
  /** The largest sample. @unit dBFS */
  readonly peakDbfs: number | null;
  /** Blocks as loud as this or less are pauses. Loudness of each block of 0.4 s. @unit LUFS */
  readonly blocks: readonly number[];
  /** Places where the top was cut off: three samples and more at full scale */
  readonly clipped: number;
}

/** @unit of full scale */
const FULL = 0.9995;
const CUT_SAMPLES = 3;

/** Loudness of channels that come a piece at a time: left and right count alike, so does one alone. */
export class LoudnessMeter {
  private readonly filters: readonly [Biquad, Biquad];
  private readonly state: Float64Array;
  private readonly stepSamples: number;
  private readonly steps: number[] = [];
  /** The same of each step, unweighted */
  private readonly plain: number[] = [];
  private sum = 0;
  private plainSum = 0;
  private count = 0;
  private peak = 0;
  private readonly full: number[];
  private clipped = 0;

  /** @param rateHz of the recording @param channels 1 or 2 */
  constructor(
    rateHz: number,
    private readonly channels: number,
  ) {
    this.filters = weighting(rateHz);
    this.state = new Float64Array(channels * 4);
    this.full = Array.from({ length: channels }, () => 0);
    this.stepSamples = Math.round(STEP_S * rateHz);
  }

  /** @param piece of each channel, all of one length */
  push(piece: readonly Float32Array[]): void {
    const length = piece[0]?.length ?? 0;
    for (let from = 0; from < length;) {
      const to = Math.min(length, from + this.stepSamples - this.count);
      for (let channel = 0; channel < this.channels; channel++) {
        const samples = piece[channel];
        if (!samples) continue;
        this.weigh(channel, samples, from, to);
        this.look(channel, samples, from, to);
      }
      this.count += to - from;
      from = to;
      if (this.count === this.stepSamples) this.endStep();
    }
  }

  private endStep(): void {
    this.steps.push(this.sum / this.stepSamples);
    this.plain.push(this.plainSum / this.stepSamples / this.channels);
    this.sum = 0;
    this.plainSum = 0;
    this.count = 0;
  }

  /** A stretch of one channel through both filters: plain numbers alone, since it runs for every sample. */
  private weigh(channel: number, samples: Float32Array, from: number, to: number): void {
    const { state } = this;
    const [{ b, a }, { a: c }] = this.filters;
    const [b0, b1, b2] = b;
    const [a1, a2] = a;
    const [c1, c2] = c;
    const base = channel * 4;
    let s1 = state[base] as number;
    let s2 = state[base + 1] as number;
    let t1 = state[base + 2] as number;
    let t2 = state[base + 3] as number;
    let sum = 0.0;
    let plain = 0.0;
    for (let at = from; at < to; at++) {
      const value = samples[at] as number;
      const shelved = b0 * value + s1;
      s1 = b1 * value - a1 * shelved + s2;
      s2 = b2 * value - a2 * shelved;
      // The low cut's numerator is 1, −2, 1.
      const out = shelved + t1;
      t1 = t2 - 2 * shelved - c1 * out;
      t2 = shelved - c2 * out;
      sum += out * out;
      plain += value * value;
    }
    state[base] = s1;
    state[base + 1] = s2;
    state[base + 2] = t1;
    state[base + 3] = t2;
    this.sum += sum;
    this.plainSum += plain;
  }

  /** The largest sample, and tops that are cut off. */
  private look(channel: number, samples: Float32Array, from: number, to: number): void {
    let most = 0;
    for (let at = from; at < to; at++) {
      const size = Math.abs(samples[at] as number);
      if (size > most) most = size;
    }
    if (most > this.peak) this.peak = most;
    // Only where something is at full scale the samples are looked at once more, one after the other.
    let full = this.full[channel] ?? 0;
    if (most < FULL) full = 0;
    else
      for (let at = from; at < to; at++) {
        full = Math.abs(samples[at] as number) >= FULL ? full + 1 : 0;
        if (full === CUT_SAMPLES) this.clipped += 1;
      }
    this.full[channel] = full;
  }

  finish(): Loudness {
    const blocksOf = (steps: readonly number[]): number[] =>
      steps.slice(STEPS - 1).map((_, at) => meanOf(steps.slice(at, at + STEPS)));
    const blocks = blocksOf(this.steps);
    const heard = blocks.filter((power) => loudnessOf(power) > ABSOLUTE);
    const least = heard.length > 0 ? loudnessOf(meanOf(heard)) + RELATIVE : Infinity;
    const isKept = (power: number): boolean => loudnessOf(power) > Math.max(ABSOLUTE, least);
    const kept = blocks.filter(isKept);
    const plain = blocksOf(this.plain).filter((_, at) => isKept(blocks[at] ?? 0));
    return {
      lufs: kept.length > 0 ? loudnessOf(meanOf(kept)) : null,
      averageDbfs: plain.length > 0 ? 10 * Math.log10(2 * meanOf(plain)) : null,
      peakDbfs: this.peak > 0 ? 20 * Math.log10(this.peak) : null,
      blocks: blocks.map((power) => (power > 0 ? loudnessOf(power) : -Infinity)),
      clipped: this.clipped,
    };
  }
}

/** Of all blocks the quietest tenth is the noise in the pauses. */
const PAUSES = 0.1;

/** How loud the pauses are. @returns LUFS; null where there are none */
export const noiseInPauses = ({ blocks }: Loudness): number | null => {
  const sorted = blocks.filter(Number.isFinite).sort((a, b) => a - b);
  return sorted[Math.floor(PAUSES * sorted.length)] ?? null;
};

/** How strong one tone is. @returns its amplitude, of full scale */
const toneOf = (signal: Float32Array, hz: number, rateHz: number): number => {
  let [re, im] = [0, 0];
  for (let at = 0; at < signal.length; at++) {
    const window = 1 - Math.cos((2 * Math.PI * at) / signal.length);
    const angle = (2 * Math.PI * hz * at) / rateHz;
    re += (signal[at] ?? 0) * window * Math.cos(angle);
    im -= (signal[at] ?? 0) * window * Math.sin(angle);
  }
  return (2 * Math.hypot(re, im)) / signal.length;
};

/** Harmonics that are looked at. */
const HARMONICS = [1, 2, 3, 4, 5, 6] as const;
/** A tone stands out where it is so much stronger than its neighbours; alone it must stand out farther. */
const STANDS_OUT = { among: 4, alone: 12 } as const;

export interface Hum {
  readonly hz: 50 | 60;
  /** Of all harmonics that stand out. @unit dBFS, of a sine's peak */
  readonly dbfs: number;
  readonly harmonics: readonly number[];
}

/** Hum in a pause of at least two seconds. @returns null where no harmonic of 50 or 60 Hz stands out */
export const humOf = (pause: Float32Array, rateHz: number): Hum | null => {
  const found = ([50, 60] as const).map((hz) => {
    const tones = HARMONICS.flatMap((times) => {
      const own = toneOf(pause, hz * times, rateHz);
      const beside = [-7, -4, 4, 7]
        .map((by) => toneOf(pause, hz * times + by, rateHz))
        .sort((x, y) => x - y);
      const over = own / Math.max(beside[1] ?? 0, 1e-9);
      return over > STANDS_OUT.among && own > 1e-6 ? [{ times, own, over }] : [];
    });
    const power = tones.reduce((sum, { own }) => sum + own * own, 0);
    return {
      hz,
      power,
      harmonics: tones.map(({ times }) => times),
      isClear: tones.some(({ over }) => over > STANDS_OUT.alone),
    };
  });
  const [best] = found.sort((a, b) => b.power - a.power);
  return best && (best.harmonics.length > 1 || best.isClear)
    ? { hz: best.hz, dbfs: 10 * Math.log10(best.power), harmonics: best.harmonics }
    : null;
};
