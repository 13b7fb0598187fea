import { seeded } from '../rig/chance';

/** Generated programmes: tones, noise and pauses of all levels, one channel or two, at two rates. */
export interface Programme {
  readonly rateHz: number;
  readonly channels: readonly Float32Array[];
}

/** @param seed 1 and up: the same programme each time */
export const programmeOf = (seed: number): Programme => {
  const chance = seeded(seed);
  const rateHz = chance.oneOf([44_100, 48_000]);
  const count = chance.integer(1, 2);
  const parts = Array.from({ length: chance.integer(2, 6) }, () => ({
    lengthS: chance.integer(8, 30) / 10,
    dbfs: -chance.integer(6, 50),
    is: chance.oneOf(['tone', 'noise', 'buzz', 'pause']),
    hz: chance.oneOf([63, 200, 440, 1000, 3150, 8000]),
  }));
  const channels = Array.from({ length: count }, (_, channel) => {
    const out: number[] = [];
    for (const { lengthS, dbfs, is, hz } of parts) {
      const gain = 10 ** (dbfs / 20) * (channel === 0 ? 1 : 0.7);
      for (let at = 0; at < Math.round(lengthS * rateHz); at++) {
        const turns = (hz * at) / rateHz;
        const value =
          is === 'tone'
            ? Math.sin(2 * Math.PI * turns)
            : is === 'noise'
              ? chance.integer(-10_000, 10_000) / 10_000
              : is === 'buzz'
                ? 2 * (turns - Math.floor(turns)) - 1
                : 0;
        // As a file of 16 bits holds it.
        out.push(Math.round(32_767 * gain * value) / 32_768);
      }
    }
    return Float32Array.from(out);
  });
  return { rateHz, channels };
};
