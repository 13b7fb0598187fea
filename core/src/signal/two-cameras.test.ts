import { seeded } from '../rig/chance';
import { FLASH_EVERY_S, FLASH_LASTS_S, type Frame, withoutAir } from './flash';
import { twoCameras } from './two-cameras';

const WIDTH = 32;
const LENGTH_S = 24;

/** A film whose columns see the page as late as is said of them. */
const film = (rate: number, laterS: (column: number, atS: number) => number, seed = 1): Frame[] => {
  const chance = seeded(seed);
  return Array.from({ length: Math.floor(LENGTH_S * rate) }, (_, index): Frame => {
    const atS = index / rate;
    return {
      atS,
      cells: Array.from({ length: 2 * WIDTH }, (__, cell) => {
        const since = atS - 0.4 - laterS(cell % WIDTH, atS);
        const isWhite = since >= 0 && since % FLASH_EVERY_S < FLASH_LASTS_S;
        return (isWhite ? 190 : 40) + chance.integer(-4, 4);
      }),
    };
  });
};

describe('two cameras in one film', () => {
  it.each([25, 30_000 / 1001, 50, 60])(
    'beside each other at %d frames: one frame of 29.97 later to 2 ms',
    (rate) => {
      const found = twoCameras(film(rate, (column) => (column < 16 ? 0.1167 : 0.1501)));
      expect(found?.are).toBe('beside each other');
      expect(Math.abs((found?.laterMs ?? NaN) - 33.4)).toBeLessThan(2);
      expect(found?.spreadMs).toBeLessThan(4);
    },
  );
  it('one camera alone over the whole picture is none later', () =>
    expect(Math.abs(twoCameras(film(25, () => 0.1))?.laterMs ?? NaN)).toBeLessThan(0.01));
  it('one after the other: where it is cut, and how much later the second is', () => {
    // Over a third of the picture, as a camera sees a screen: the left half alone.
    const cut = film(30, (column, atS) => (column > 12 ? -1000 : atS < 12 ? 0.05 : 0.15)).map(
      ({ atS, cells }) => ({
        atS,
        cells: Array.from(cells, (value, cell) => (cell % WIDTH > 12 ? 100 : value)),
      }),
    );
    const found = twoCameras(cut);
    expect(found?.are).toBe('one after the other');
    expect(Math.abs((found?.laterMs ?? NaN) - 100)).toBeLessThan(4);
    expect(Math.abs((found?.cutS ?? NaN) - 12)).toBeLessThan(FLASH_EVERY_S);
  });
  it('one camera that sees the page in its left half is no two cameras', () => {
    const one = film(25, () => 0.1).map(({ atS, cells }) => ({
      atS,
      cells: Array.from(cells, (value, cell) => (cell % WIDTH > 12 ? 100 : value)),
    }));
    expect(twoCameras(one)).toBeNull();
    expect(twoCameras([])).toBeNull();
  });
});

describe('the air between the page and the microphone', () => {
  it('3 m at 20 °C are 8.74 ms, and less where it is warm', () => {
    const found = { offsetMs: 100, spreadMs: 1 };
    expect(withoutAir(found, 3, 20)).toEqual({ offsetMs: expect.closeTo(91.259, 2), spreadMs: 3 });
    expect(withoutAir(found, 3, 35).offsetMs).toBeGreaterThan(91.3);
  });
});
