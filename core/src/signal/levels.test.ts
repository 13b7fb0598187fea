import { seeded } from '../rig/chance';
import { programmeOf } from './loudness-for-cases';
import { humOf, LoudnessMeter, noiseInPauses } from './loudness';
import { held } from './recording';
import { resampled } from './resampled';
import { BANDS_HZ, middleRt60, reverberation } from './reverberation';
import { alsoInLong, times } from '../runs-for-cases';

const RATE_HZ = 48_000;

/** Tones of 1 kHz one after the other. */
const tones = (parts: readonly (readonly [dbfs: number, lengthS: number])[], rateHz = RATE_HZ) => {
  const out: number[] = [];
  for (const [dbfs, lengthS] of parts)
    for (let at = 0; at < Math.round(lengthS * rateHz); at++)
      out.push(10 ** (dbfs / 20) * Math.sin((2 * Math.PI * 1000 * out.length) / rateHz));
  return Float32Array.from(out);
};
const measured = (channels: readonly Float32Array[], rateHz = RATE_HZ) => {
  const meter = new LoudnessMeter(rateHz, channels.length);
  // In pieces of no round length, as files give them.
  for (let from = 0; from < (channels[0]?.length ?? 0); from += 4321)
    meter.push(channels.map((channel) => channel.subarray(from, from + 4321)));
  return meter.finish();
};
const both = (signal: Float32Array, rateHz = RATE_HZ) => measured([signal, signal], rateHz).lufs;

/** What ffmpeg 5.1's `ebur128` says of forty generated programmes (`npm run tools`); −70 is silence. @unit LUFS */
const BY_FFMPEG = [
  -14.3, -43.7, -24.5, -28.9, -9.1, -11.4, -20.2, -31.3, -11.1, -25.3, -18.6, -14.7, -14.2, -16.1,
  -11.9, -21.8, -19.5, -15.2, -12.3, -24.7, -35.1, -16.3, -23.5, -10.4, -19.4, -37.8, -32.1, -14.8,
  -21.7, -13.5, -28.6, -22.3, -37.1, -15.2, -9.5, -41.7, -17.6, -43, -37.1, -70,
];

describe('loudness of generated programmes', () => {
  it.each(BY_FFMPEG.map((lufs, at) => [at + 1, lufs] as const))(
    'programme %d is %d LUFS, as ffmpeg says, to 0.1',
    (seed, lufs) => {
      const { rateHz, channels } = programmeOf(seed);
      expect(Math.abs((measured(channels, rateHz).lufs ?? -70) - lufs)).toBeLessThanOrEqual(0.1);
    },
  );
});

describe('loudness, by the test signals of EBU Tech 3341', () => {
  it.each([
    ['1: −23 dBFS for 20 s', [[-23, 20]], -23],
    ['2: −33 dBFS for 20 s', [[-33, 20]], -33],
    [
      '3: quieter before and after',
      [
        [-36, 10],
        [-23, 60],
        [-36, 10],
      ],
      -23,
    ],
    [
      '4: much quieter still',
      [
        [-72, 10],
        [-36, 10],
        [-23, 60],
        [-36, 10],
        [-72, 10],
      ],
      -23,
    ],
    [
      '5: a little louder between',
      [
        [-26, 20],
        [-20, 20.1],
        [-26, 20],
      ],
      -23,
    ],
  ] as const)('%s', (_name, parts, lufs) => {
    expect(Math.abs((both(tones(parts)) ?? 0) - lufs)).toBeLessThan(0.1);
  });
  it('is the same at 44.1 kHz, and 3 LU less from one channel alone', () => {
    expect(Math.abs((both(tones([[-23, 20]], 44_100), 44_100) ?? 0) + 23)).toBeLessThan(0.1);
    expect(Math.abs((measured([tones([[-20, 20]])]).lufs ?? 0) + 23)).toBeLessThan(0.1);
  });
  it('is not said of silence', () => {
    const { lufs, peakDbfs } = measured([new Float32Array(RATE_HZ)]);
    expect([lufs, peakDbfs]).toEqual([null, null]);
  });
  it('finds peaks, tops that are cut off, and how loud the pauses are', () => {
    const loud = tones([
      [-20, 5],
      [-60, 5],
    ]);
    const { peakDbfs, clipped } = measured([loud]);
    expect(peakDbfs).toBeCloseTo(-20, 1);
    expect(clipped).toBe(0);
    // One channel: its loudness is 3 LU under its level.
    expect(noiseInPauses(measured([loud]))).toBeCloseTo(-63, 0);
    const cut = tones([[6, 1]]).map((value) => Math.max(-1, Math.min(1, value)));
    expect(measured([cut]).clipped).toBe(2000);
  });
});

describe('hum', () => {
  const hiss = (seed: number): Float32Array => {
    const chance = seeded(seed);
    return Float32Array.from({ length: 2 * RATE_HZ }, () => chance.integer(-1000, 1000) / 1e6);
  };
  const withHum = (hz: number): Float32Array =>
    hiss(1).map(
      (value, at) =>
        value +
        0.01 * Math.sin((2 * Math.PI * hz * at) / RATE_HZ) +
        0.004 * Math.sin((2 * Math.PI * 3 * hz * at) / RATE_HZ),
    );
  it.each([50, 60] as const)('of %i Hz is told with its third, at −39.4 dBFS', (hz) => {
    const hum = humOf(withHum(hz), RATE_HZ);
    expect(hum?.hz).toBe(hz);
    expect(hum?.harmonics).toEqual(expect.arrayContaining([1, 3]));
    expect(hum?.dbfs).toBeCloseTo(10 * Math.log10(0.01 ** 2 + 0.004 ** 2), 1);
  });
  it('is not heard in hiss', () => {
    for (let seed = 1; seed <= times(3); seed++) expect(humOf(hiss(seed), RATE_HZ)).toBeNull();
  });
});

describe('how long a room rings', () => {
  /** Noise that dies away, in a little noise that does not. */
  const decay = (seed: number, rt60S: number, noiseDb: number): Float32Array => {
    const chance = seeded(seed);
    const normal = (): number =>
      [0, 0, 0, 0].reduce((sum) => sum + chance.integer(-1000, 1000) / 1000, 0) * 0.87;
    return Float32Array.from({ length: Math.round(2.5 * RATE_HZ) }, (_, at) => {
      const s = at / RATE_HZ - 0.2;
      const ringing = s < 0 ? 0 : 0.3 * Math.exp((-6.908 * s) / rt60S);
      return normal() * (ringing + 0.3 * 10 ** (noiseDb / 20));
    });
  };
  it.each(alsoInLong([0.2, 0.5, 1.2], [0.35, 0.8]))('%d s, to 5 %% over eight claps', (rt60S) => {
    const found = Array.from({ length: 8 }, (_, seed) =>
      middleRt60(reverberation(decay(seed + 1, rt60S, -60), RATE_HZ)),
    );
    const mean = found.reduce((sum, one) => sum + (one?.rt60S ?? NaN), 0) / found.length;
    expect(Math.abs(mean / rt60S - 1)).toBeLessThan(0.05);
  });
  it('says how far one clap may be off: nine in ten lie within twice that, band by band', () => {
    let [within, all] = [0, 0];
    for (let seed = 1; seed <= times(5); seed++)
      for (const { rt60S, spreadS } of reverberation(decay(seed, 0.5, -60), RATE_HZ)) {
        all += 1;
        if (rt60S !== null && Math.abs(rt60S - 0.5) < 2 * (spreadS ?? 0)) within += 1;
      }
    expect(all).toBe(times(5) * BANDS_HZ.length);
    expect(within / all).toBeGreaterThan(0.9);
  });
  it('says nothing where the clap stands less than 35 dB over the noise', () => {
    const ringing = reverberation(decay(1, 0.5, -20), RATE_HZ);
    expect(ringing.map(({ rt60S }) => rt60S)).toEqual(BANDS_HZ.map(() => null));
    expect(middleRt60(ringing)).toBeNull();
  });
});

describe('another rate', () => {
  it('a tone of 44.1 kHz is the same tone at 48 kHz, from wherever it is read', async () => {
    const tone = Float32Array.from({ length: 44_100 }, (_, at) =>
      Math.sin((2 * Math.PI * 3000 * at) / 44_100),
    );
    const other = resampled(held(tone, 44_100), RATE_HZ);
    expect(other.samples).toBe(48_000);
    const piece = await other.read(12_345, 4800);
    for (const [at, value] of piece.entries())
      expect(value).toBeCloseTo(Math.sin((2 * Math.PI * 3000 * (12_345 + at)) / RATE_HZ), 2);
  });
});
