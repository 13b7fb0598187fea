import fc from 'fast-check';
import { seeded } from '../rig/chance';
import { brightnessOf, paceOf, shownIn } from './film';
import type { Frame } from './flash';
import { times } from '../runs-for-cases';

const RATES = [24_000 / 1001, 24, 25, 30_000 / 1001, 30, 50, 60_000 / 1001, 60];
const frameTimes = (rateHz: number, lengthS: number): number[] =>
  Array.from({ length: Math.floor(lengthS * rateHz) }, (_, index) => index / rateHz);
/** As containers write it. */
const toMs = (s: number): number => Math.round(1000 * s) / 1000;

describe('the pace of a film', () => {
  it.each(RATES)('of %d frames a second is found, also where it is written to the ms', (rateHz) => {
    for (const written of [(s: number) => s, toMs]) {
      const pace = paceOf(frameTimes(rateHz, 30).map(written));
      expect(pace).toMatchObject({ rateHz, isConstant: true, missing: 0, gaps: [] });
      expect(pace?.lengthS).toBeCloseTo(Math.floor(30 * rateHz) / rateHz, 2);
    }
  });
  it('counts every frame that was lost, where it was lost', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RATES),
        fc.uniqueArray(fc.integer({ min: 2, max: 700 }), { maxLength: 12 }),
        fc.boolean(),
        (rateHz, lost, isRounded) => {
          const kept = frameTimes(rateHz, 60).filter((_, index) => !lost.includes(index));
          const pace = paceOf(isRounded ? kept.map(toMs) : kept);
          expect(pace?.missing).toBe(lost.length);
          expect(pace?.isConstant).toBe(true);
          expect(pace?.rateHz).toBe(rateHz);
        },
      ),
      { numRuns: times(60) },
    );
  });
  it('does not mind the order they were packed in, and tells a rate that goes up and down', () => {
    const chance = seeded(3);
    const uneven = frameTimes(30, 20).map((s) => s + chance.integer(0, 9) / 1000);
    expect(paceOf(uneven)?.isConstant).toBe(false);
    expect(paceOf(frameTimes(25, 10).reverse())?.isConstant).toBe(true);
    expect(paceOf([0, 0.04])).toBeNull();
    expect(paceOf([1, 1, 1, 1])).toBeNull();
  });
});

const CELLS = 64;
const moving = (count: number, rateHz: number, seed = 1): Frame[] => {
  const chance = seeded(seed);
  return Array.from({ length: count }, (_, index) => ({
    atS: index / rateHz,
    cells: Array.from({ length: CELLS }, () => 100 + chance.integer(-20, 20) / 10),
  }));
};
/** Takes the place of some frames. */
const exchanged = (
  frames: readonly Frame[],
  instead: (index: number) => ArrayLike<number> | undefined,
): Frame[] => frames.map((frame, index) => ({ ...frame, cells: instead(index) ?? frame.cells }));

describe('what a film shows', () => {
  it('a noisy camera repeats nothing', () =>
    expect(shownIn(moving(300, 30))).toMatchObject({
      repeated: 0,
      everyNth: null,
      still: [],
      black: [],
    }));
  it('25 pictures that were made 30: one of six is repeated', () => {
    const source = moving(250, 25);
    const made = Array.from({ length: 300 }, (_, index): Frame => ({
      atS: index / 30,
      cells: source[Math.floor((index * 25) / 30)]?.cells ?? [],
    }));
    // Of the first two nothing is told.
    expect(shownIn(made)).toMatchObject({ repeated: 49, everyNth: 6 });
  });
  it('24 pictures shown at 60: three of five are repeated', () => {
    const source = moving(96, 24);
    const made = Array.from({ length: 240 }, (_, index): Frame => ({
      atS: index / 60,
      cells: source[Math.floor((index * 24) / 60)]?.cells ?? [],
    }));
    expect(shownIn(made).repeated).toBeGreaterThanOrEqual(141);
    expect(shownIn(made).repeated).toBeLessThanOrEqual(144);
  });
  it('a picture that stands for two seconds is said where, and is no lost frame', () => {
    const frames = moving(300, 25);
    const shown = shownIn(
      exchanged(frames, (index) => (index >= 100 && index < 150 ? frames[99]?.cells : undefined)),
    );
    expect(shown.repeated).toBe(0);
    expect(shown.still).toEqual([{ fromS: 3.96, toS: 6 }]);
  });
  it('black is said where it is', () => {
    const black = Array.from({ length: CELLS }, () => 16);
    const frames = exchanged(moving(100, 25), (index) =>
      index >= 50 && index < 75 ? black : undefined,
    );
    expect(shownIn(frames).black).toEqual([{ fromS: 2, toS: 3 }]);
  });
});

describe('how bright a picture is', () => {
  const size = { width: 100, height: 50 };
  /** Left half 51, right half 204; one row of white. */
  const lumas = Array.from({ length: 5000 }, (_, at) =>
    at < 100 ? 255 : at % 100 < 50 ? 51 : 204,
  );
  it('as a whole and in an area', () => {
    expect(brightnessOf(lumas, size, { x: 0, y: 0.5, width: 0.5, height: 0.5 })).toEqual({
      mean: expect.closeTo(0.2, 9),
      dark: 0.2,
      bright: 0.2,
      crushed: 0,
      burnt: 0,
    });
    expect(brightnessOf(lumas, size).burnt).toBe(0.02);
    expect(brightnessOf(lumas, size).mean).toBeCloseTo(0.02 + 0.98 * 0.5, 9);
  });
  it('refuses an area beside it', () =>
    expect(() => brightnessOf(lumas, size, { x: 2, y: 0, width: 1, height: 1 })).toThrow(
      RangeError,
    ));
});
