import fc from 'fast-check';
import type { Room } from '../../rig';
import { powerSumDb } from '../../units';
import { voice } from '../../rules/rigs-for-cases';
import { measure } from '../measure';
import { microphonesInRoom } from '.';
import { pickedUp, tilted, withoutEcho } from './picked-up';

const living: Room = { volumeM3: 60, rt60S: 0.6, noiseDba: null, temperatureC: null };

/** What an omni hears of something from a distance. @unit dB(A) */
const heardFrom = (room: Room, splAt1m: number, distanceM: number): number =>
  powerSumDb(
    ...pickedUp(room, { xM: 0, yM: 0, facingDeg: 0, zM: null }, 'omni', [
      { id: 'fan', name: 'Fan', at: { xM: 0, yM: distanceM, zM: null }, splAt1m },
    ]).map(({ spl }) => spl),
  );

describe('a noise that a meter read in the room', () => {
  it('in 60 m³ of 0.6 s, Dc 0.570 m: 10·log10(1 + 3.078) = 6.10 dB of it are echo', () =>
    expect(withoutEcho(56.1, living)).toBeCloseTo(50.0, 2));
  it('is left as it was read where the room is not known', () =>
    expect(withoutEcho(56.1, { ...living, rt60S: null })).toBe(56.1));
  it('is heard by an omni from 1 m as the meter read it, in every room', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 5000, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        fc.double({ min: 20, max: 90, noNaN: true }),
        (volumeM3, rt60S, readDba) => {
          const room = { volumeM3, rt60S, noiseDba: null, temperatureC: null };
          expect(heardFrom(room, withoutEcho(readDba, room), 1)).toBeCloseTo(readDba, 9);
        },
      ),
    ));
});

describe('heights', () => {
  const near = (heightM: number | null) => {
    const rig = voice({ distance: 0.1 })
      .do({
        type: 'changePerson',
        personId: 'host',
        person: { at: { xM: 0, yM: 0, facingDeg: 0 } },
      })
      .do({
        type: 'addNoise',
        noiseId: 'fan',
        noise: {
          name: 'Fan',
          dbaAt1m: 50,
          reading: 'free field',
          at: { xM: 0, yM: 2.1 },
          heightM,
          runs: true,
        },
      })
      .build();
    return microphonesInRoom(measure(rig))[0]?.noises[0];
  };
  it('count: 2 m along the floor and 1 m up are 2.24 m', () => {
    expect(near(2.12)?.distanceM).toBeCloseTo(Math.sqrt(5), 6);
    expect(near(2.12)?.directSpl).toBeLessThan(near(1.12)?.directSpl ?? 0);
  });
  it('that nobody has said count as level', () => expect(near(null)?.distanceM).toBeCloseTo(2, 9));
  it('bring what is above further off the axis', () => {
    expect(tilted(0, 2, 2)).toBeCloseTo(45, 9);
    expect(tilted(60, 2, 0)).toBe(60);
    expect(tilted(180, 1, 1)).toBeCloseTo(135, 9);
  });
});
