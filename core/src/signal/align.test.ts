import { align, type Alignment } from './align';
import { held } from './recording';
import { clapPair, longRecording, RATE_HZ, type Truth } from './truth-for-cases';
import { alsoInLong, times } from '../runs-for-cases';

const HARD: Truth = { claps: 2, snrDb: 10, rt60S: 0.5 };

const aligned = async (seed: number, truth: Truth): Promise<Alignment & { offMs: number }> => {
  const { a, b, offsetMs } = clapPair(seed, truth);
  const found = await align(held(a, RATE_HZ), held(b, RATE_HZ));
  return { ...found, offMs: Math.abs(found.offsetMs - offsetMs) };
};

describe('a clap in two recordings, 10 dB over the noise, in an echo of 0.5 s', () => {
  const PAIRS = times(10);
  it(
    'is found surely in 19 of 20 pairs, and never more than 0.1 ms off',
    async () => {
      let sure = 0;
      for (let seed = 1; seed <= PAIRS; seed++) {
        const { isSure, offMs } = await aligned(seed, HARD);
        if (!isSure) continue;
        sure += 1;
        expect(offMs).toBeLessThan(0.1);
      }
      expect(sure).toBeGreaterThanOrEqual(Math.floor(0.95 * PAIRS));
    },
    times(60_000),
  );
  it(
    'is not found in any pair of unrelated ones',
    async () => {
      for (let seed = 1; seed <= PAIRS / 2; seed++)
        expect((await aligned(5000 + seed, { ...HARD, isUnrelated: true })).isSure).toBe(false);
    },
    times(60_000),
  );
});

describe('clocks that drift', () => {
  const of = (ppm: number, startS: number, seed: number, minutes: number) =>
    longRecording(seed, {
      lengthS: 60 * minutes,
      atS: Array.from({ length: minutes - 1 }, (_, at) => 40 + 60 * at + 0.37 * at),
      ppm,
      startS,
    });
  it('20 ppm and 2.5 s are found in 10 minutes, to 1 ppm', async () => {
    const found = await align(of(0, 0, 1, 10), of(20, 2.5, 2, 10));
    expect(found.isSure).toBe(true);
    expect(found.events.length).toBeGreaterThan(5);
    expect(Math.abs((found.driftPpm ?? 0) - 20)).toBeLessThan(1);
    expect(found.driftSpreadPpm).toBeLessThan(1);
    // The first of them is heard at 40 s: 2.5 s earlier in the second, and 0.75 ms later by its clock.
    expect(found.offsetMs).toBeCloseTo(-2500 + 0.75, 1);
  }, 60_000);
  it.each(alsoInLong([15], [30]))(
    'claps at even intervals are not taken for each other in %i min',
    async (minutes) => {
      const found = await align(of(0, 0, 1, minutes), of(20, 2.5, 2, minutes));
      expect(found.isSure).toBe(true);
      expect(found.offsetMs).toBeCloseTo(-2500 + 0.02 * (found.events[0]?.atS ?? 0), 1);
      expect(Math.abs((found.driftPpm ?? 0) - 20)).toBeLessThan(0.2);
    },
    90_000,
  );
  it('is not told from a few seconds', async () => {
    const { driftPpm } = await aligned(3, HARD);
    expect(driftPpm).toBeNull();
  });
});

describe('what cannot be compared', () => {
  it('is refused where the rates differ', async () => {
    await expect(align(held([0], 48_000), held([0], 44_100))).rejects.toThrow(
      'one is at 48000 Hz, the other at 44100 Hz',
    );
  });
  it('is not sure in silence, nor in nothing at all', async () => {
    const silence = held(new Float32Array(2 * RATE_HZ), RATE_HZ);
    expect((await align(silence, silence)).isSure).toBe(false);
    expect((await align(held([], RATE_HZ), held([], RATE_HZ))).isSure).toBe(false);
  });
  it('ends where it is told to', async () => {
    const { a, b } = clapPair(1, HARD);
    await expect(
      align(held(a, RATE_HZ), held(b, RATE_HZ), () => {
        throw new Error('cancelled');
      }),
    ).rejects.toThrow('cancelled');
  });
});
