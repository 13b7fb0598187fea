import fc from 'fast-check';
import { likelyLags, onsetsOf } from './onsets';
import { lagOf, noiseOf } from './phase';
import { held } from './recording';
import { powerOf, powerOfTwo, signalOf, spectrumOf } from './spectrum';

const RATE_HZ = 48_000;

describe('spectra', () => {
  const signals = fc.array(fc.double({ min: -1, max: 1, noNaN: true }), {
    minLength: 1,
    maxLength: 200,
  });
  it('come back as the signal they were made of, with nothing behind it', () =>
    fc.assert(
      fc.property(signals, (signal) => {
        const size = powerOfTwo(signal.length);
        const back = signalOf(spectrumOf(signal, size));
        for (const [at, value] of back.entries()) expect(value).toBeCloseTo(signal[at] ?? 0, 9);
      }),
    ));
  it('hold the energy of the signal', () =>
    fc.assert(
      fc.property(signals, (signal) => {
        const size = powerOfTwo(signal.length);
        const power = powerOf(spectrumOf(signal, size));
        const all = power.reduce(
          (sum, value, bin) => sum + (bin === 0 || bin === size / 2 ? value : 2 * value),
          0,
        );
        const energy = signal.reduce((sum, value) => sum + value * value, 0);
        expect(all / size).toBeCloseTo(energy, 6);
      }),
    ));
  it.each([
    [1, 2],
    [2, 2],
    [3, 4],
    [4096, 4096],
    [4097, 8192],
  ])('%i fits in %i', (least, size) => expect(powerOfTwo(least)).toBe(size));
});

/** Clicks of a few milliseconds at known moments. */
const clicks = (atS: readonly number[], lengthS: number): Float32Array => {
  const signal = new Float32Array(lengthS * RATE_HZ);
  for (const [index, moment] of atS.entries())
    for (let at = 0; at < 200; at++)
      signal[Math.round(moment * RATE_HZ) + at] =
        Math.sin(at * (0.4 + 0.07 * index)) * Math.exp(-at / 40);
  return signal;
};

describe('where something begins', () => {
  it('stands at its hundredth, and nowhere else', async () => {
    const onsets = await onsetsOf(held(clicks([0.505, 1.255], 2), RATE_HZ));
    const strong = [...onsets].flatMap((value, at) => (value > 1 ? [at] : []));
    expect(strong).toEqual([50, 125]);
  });
  it('tells how many frames later all of it is, the likeliest first', async () => {
    const at = [0.405, 1.105, 1.405];
    const a = await onsetsOf(held(clicks(at, 3), RATE_HZ));
    const b = await onsetsOf(
      held(
        clicks(
          at.map((moment) => moment + 0.7),
          3,
        ),
        RATE_HZ,
      ),
    );
    expect(likelyLags(a, b, 1)).toEqual([70]);
    expect(likelyLags(b, a, 2)[0]).toBe(-70);
  });
});

describe('phase', () => {
  it('tells a shift to a twentieth of a sample', () => {
    const size = 1024;
    // A little noise, so that frequencies with nothing in them count for nothing.
    const still = noiseOf(
      Float32Array.from({ length: 400 }, (_, at) => 1e-3 * Math.sin(at * at)),
      size,
    );
    /** A short sound that is known everywhere, not at samples alone. */
    const sound = (s: number): number =>
      Array.from({ length: 60 }, (_, times) => Math.sin(times * s * 0.025 + times * times)).reduce(
        (sum, tone) => sum + tone,
        0,
      ) * Math.exp(-(((s - 200) / 40) ** 2));
    const of = (shift: number) => Float32Array.from({ length: 400 }, (_, at) => sound(at - shift));
    for (const shift of [-7.25, 0, 0.5, 3.3, 12.81])
      expect(lagOf(of(0), of(shift), [still, still], size, RATE_HZ).samples).toBeCloseTo(shift, 1);
  });
});
