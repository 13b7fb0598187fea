import { seeded } from '../rig/chance';
import { beepOf, beepsIn, FLASH_EVERY_S, FLASH_LASTS_S, flashOffset, type Frame } from './flash';
import { held } from './recording';
import { alsoInLong } from '../runs-for-cases';

const RATE_HZ = 48_000;
const LENGTH_S = 22;

interface Film {
  readonly rate: number;
  /** How much later each arrives than the page showed it. @unit s */
  readonly pictureS: number;
  readonly soundS: number;
  /** From one flash to the next in the room */
  readonly everyS?: number;
  /** Beside the page the picture is grey, and noise lies on it */
  readonly noise?: number;
}

/** A film of the page from the left half of its picture, as a camera at that rate sees it. */
const film = ({ rate, pictureS, soundS, everyS = FLASH_EVERY_S, noise = 4 }: Film, seed = 1) => {
  const chance = seeded(seed);
  const frames = Array.from({ length: Math.floor(LENGTH_S * rate) }, (_, index): Frame => {
    const atS = index / rate;
    const since = atS - 0.4 - pictureS;
    const isWhite = since >= 0 && since % everyS < FLASH_LASTS_S;
    return {
      atS,
      cells: Array.from(
        { length: 32 },
        (__, cell) => (cell % 8 < 4 ? (isWhite ? 200 : 30) : 120) + chance.integer(-noise, noise),
      ),
    };
  });
  const signal = Float32Array.from(
    { length: LENGTH_S * RATE_HZ },
    () => chance.integer(-1000, 1000) / 20_000,
  );
  const beep = beepOf(RATE_HZ);
  for (let index = 0; 0.4 + soundS + index * everyS < LENGTH_S - 0.1; index++) {
    const from = Math.round((0.4 + soundS + index * everyS) * RATE_HZ);
    for (const [step, value] of beep.entries()) {
      signal[from + step] = (signal[from + step] ?? 0) + 0.2 * value;
      // And a wall that answers, louder than the page itself.
      const echo = from + step + 200;
      signal[echo] = (signal[echo] ?? 0) + 0.24 * value;
    }
  }
  return { frames, sound: held(signal, RATE_HZ) };
};
const found = async (of: Film, seed = 1) => {
  const { frames, sound } = film(of, seed);
  return flashOffset(frames, await beepsIn(sound));
};

describe('flash and beep', () => {
  it.each(alsoInLong([24, 30_000 / 1001, 60], [25, 30, 50, 60_000 / 1001]))(
    'at %d frames a second is found to 2 ms, sound early and late',
    async (rate) => {
      // Sound early at the one, late at the other.
      const soundS = rate < 40 ? 0.0063 : 0.31;
      const { isSure, offsetMs, spreadMs, flashes, beeps } = await found(
        { rate, pictureS: 0.15, soundS },
        Math.round(rate),
      );
      expect(isSure).toBe(true);
      expect(flashes).toBeGreaterThanOrEqual(20);
      expect(beeps).toBeGreaterThanOrEqual(20);
      expect(Math.abs(offsetMs - 1000 * (soundS - 0.15))).toBeLessThan(2);
      expect(spreadMs).toBeLessThan(3);
    },
    30_000,
  );
  it('is not sure of what flickers otherwise, of a dark film and of a silent one', async () => {
    const { frames, sound } = film({ rate: 25, pictureS: 0.1, soundS: 0 });
    const beeps = await beepsIn(sound);
    const other = film({ rate: 25, pictureS: 0.1, soundS: 0, everyS: 0.77 });
    expect(flashOffset(other.frames, beeps)).toMatchObject({
      isSure: false,
      why: 'What flickers does not flicker like our page: not at its interval.',
    });
    expect(
      flashOffset(
        frames,
        await beepsIn(film({ rate: 25, pictureS: 0, soundS: 0, everyS: 0.77 }).sound),
      ).isSure,
    ).toBe(false);
    const dark = frames.map(({ atS, cells }) => ({ atS, cells: Array.from(cells, () => 20) }));
    expect(flashOffset(dark, beeps).why).toBe('0 flashes were seen; 8 at least are needed.');
    const silence = await beepsIn(held(new Float32Array(RATE_HZ * 20), RATE_HZ));
    expect(flashOffset(frames, silence)).toMatchObject({ isSure: false, beeps: silence.length });
    expect(await beepsIn(held([], RATE_HZ))).toEqual([]);
  });
});
