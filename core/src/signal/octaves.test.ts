import { seeded } from '../rig/chance';
import { LoudnessMeter } from './loudness';
import { octavesOf } from './octaves';

const RATE_HZ = 48_000;
const sine = (hz: number, dbfs: number, lengthS = 2): Float32Array =>
  Float32Array.from(
    { length: lengthS * RATE_HZ },
    (_, at) => 10 ** (dbfs / 20) * Math.sin((2 * Math.PI * hz * at) / RATE_HZ),
  );

describe('noise by octave', () => {
  it.each([
    // A-weighting at the middle of octaves, IEC 61672-1, table 3.
    [63, -26.2],
    [125, -16.1],
    [250, -8.6],
    [1000, 0],
    [4000, 1.0],
    [8000, -1.1],
  ])('a sine of %d Hz at −20 dBFS stands in its octave, and weighs %d dB', (hz, weight) => {
    const found = octavesOf(sine(hz, -20), RATE_HZ);
    expect(found?.bands.find(({ bandHz }) => bandHz === hz)?.dbfs).toBeCloseTo(-20, 1);
    expect(found?.dbfs).toBeCloseTo(-20, 1);
    expect(Math.abs((found?.aWeightedDbfs ?? NaN) + 20 - weight)).toBeLessThan(0.15);
    for (const { bandHz, dbfs } of found?.bands ?? [])
      if (bandHz < hz / 3 || bandHz > 3 * hz) expect(dbfs).toBeLessThan(-60);
  });
  it('white noise rises 3 dB an octave, and all octaves are all of it', () => {
    const chance = seeded(5);
    const noise = Float32Array.from(
      { length: 4 * RATE_HZ },
      () => chance.integer(-100_000, 100_000) / 1e7,
    );
    const found = octavesOf(noise, RATE_HZ);
    const at = (hz: number): number =>
      found?.bands.find(({ bandHz }) => bandHz === hz)?.dbfs ?? NaN;
    expect(at(4000) - at(1000)).toBeGreaterThan(5.5);
    expect(at(4000) - at(1000)).toBeLessThan(6.5);
    // Evenly spread to ±0.01: RMS 0.01/√3, and a full sine is 3.01 dB under full scale.
    expect(found?.dbfs).toBeCloseTo(20 * Math.log10(0.01 / Math.sqrt(3)) + 3.01, 1);
  });
  it('nothing is said of less than a fifth of a second', () =>
    expect(octavesOf(new Float32Array(1000), RATE_HZ)).toBeNull());
});

describe('the average', () => {
  it('of a full sine is 0 dBFS, of one channel and of two, and pauses do not count', () => {
    const half = new Float32Array(4 * RATE_HZ);
    half.set(sine(1000, -18, 2), 0);
    for (const channels of [[half], [half, half]]) {
      const meter = new LoudnessMeter(RATE_HZ, channels.length);
      meter.push(channels);
      // Blocks at the end of the tone hold part of the pause.
      expect(Math.abs((meter.finish().averageDbfs ?? NaN) + 18)).toBeLessThan(0.35);
    }
  });
});
