import { seeded } from '../rig/chance';
import { beepOf, beepsIn, FLASH_EVERY_S } from './flash';
import { held } from './recording';
import { ROUND_TRIP_BEEPS, roundTripOf } from './round-trip';

const RATE_HZ = 48_000;
const FIRST_S = 0.5;

/** What comes back by a microphone near a loudspeaker, some samples late, in noise, with an echo. */
const cameBack = (lateSamples: number, gain = 0.1): Float32Array => {
  const chance = seeded(lateSamples + 1);
  const signal = Float32Array.from(
    { length: 9.5 * RATE_HZ },
    () => chance.integer(-1000, 1000) / 1e5,
  );
  const beep = beepOf(RATE_HZ);
  for (let index = 0; index < ROUND_TRIP_BEEPS; index++)
    for (const [delay, share] of [
      [0, 1],
      [310, 0.7],
    ] as const)
      for (const [step, value] of beep.entries()) {
        const at =
          Math.round((FIRST_S + index * FLASH_EVERY_S) * RATE_HZ) + lateSamples + delay + step;
        signal[at] = (signal[at] ?? 0) + gain * share * value;
      }
  return signal;
};

describe('a round trip', () => {
  it.each([0, 512, 1043, 9600])('of %d samples is found to a sample', async (late) => {
    const found = roundTripOf(await beepsIn(held(cameBack(late), RATE_HZ)), FIRST_S);
    expect(found.isSure).toBe(true);
    expect(Math.abs(found.ms - (1000 * late) / RATE_HZ)).toBeLessThan(1000 / RATE_HZ + 1e-6);
    expect(found.spreadMs).toBeLessThan(0.05);
  });
  it('where nothing comes back no figure is given', async () => {
    const silence = roundTripOf(await beepsIn(held(cameBack(0, 0), RATE_HZ)), FIRST_S);
    expect(silence).toMatchObject({ isSure: false, ms: 0 });
    expect(silence.why).toMatch(/came back/);
  });
  it('nor where something else beeps', () =>
    expect(
      roundTripOf(
        Array.from({ length: 8 }, (_, index) => 0.7 + index),
        FIRST_S,
      ).why,
    ).toMatch(/not come at the interval/));
});
