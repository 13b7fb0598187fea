import fc from 'fast-check';
import { analyse } from '../../analyse';
import { apply, type Rig, type SimpleCommand } from '../../rig';
import { voice } from '../../rules/rigs-for-cases';
import { microphoneDbu, splAt } from './microphone';

/** Voice at 62 dB SPL at 1 m, from 8 cm: 83.938 dB SPL at the capsule. */
const levelOf = (rig: Rig): number => {
  const { traced, sound } = analyse(rig);
  const first = traced.stages.find(({ at }) => at.device.id === 'mic');
  return sound[first?.index ?? -1]?.levelDb ?? NaN;
};
const having = (...commands: readonly SimpleCommand[]): Rig =>
  commands.reduce<Rig>((rig, command) => apply(rig, command), voice().build());
const aimed = (offAxisDeg: number): SimpleCommand => ({
  type: 'placeDevice',
  deviceId: 'mic',
  at: null,
  aim: { bearingDeg: 0, offAxisDeg },
});

describe('the distance law', () => {
  it.each([
    [62, 1, 62],
    [62, 0.5, 68.021],
    [62, 0.1, 82],
    [62, 0.08, 83.938],
    [62, 2, 55.979],
  ])('%s dB SPL at 1 m is, from %s m, %s', (atOneMetre, metres, spl) =>
    expect(splAt(atOneMetre, metres)).toBeCloseTo(spl, 3),
  );
  it('no longer holds nearer than 3 cm: there the level stays', () => {
    expect(splAt(62, 0.03)).toBeCloseTo(92.458, 3);
    expect(splAt(62, 0.01)).toBe(splAt(62, 0.03));
    expect(splAt(62, 0.031)).toBeLessThan(splAt(62, 0.03));
  });
  it('never gains with distance', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (near, more) => expect(splAt(62, near + more)).toBeLessThanOrEqual(splAt(62, near)),
      ),
    ));
});

describe('sensitivity', () => {
  it.each([
    [1.1, 83.938, -67.015],
    [2.2, 83.938, -60.995],
    [20, 83.938, -41.823],
    [1, 94, -57.782],
  ])('%s mV/Pa at %s dB SPL gives %s dBu', (sensitivity, spl, dbu) =>
    expect(microphoneDbu(sensitivity, spl)).toBeCloseTo(dbu, 2),
  );
});

describe('a microphone that does not point at its mouth', () => {
  it.each([
    ['straight', 0, 0],
    ['60° past', 60, -2.499],
    ['90° past, a cardioid at half', 90, -6.021],
    ['120° past', 120, -12.041],
    ['turned away, at the deepest a real one gets', 180, -25],
  ])('%s', (_name, deg, lossDb) =>
    expect(levelOf(having(aimed(deg))) - levelOf(having())).toBeCloseTo(lossDb, 2),
  );
  it('loses as much to the left as to the right', () =>
    expect(levelOf(having(aimed(-75)))).toBeCloseTo(levelOf(having(aimed(75))), 9));
  it('loses by the place it stands at, where it was placed by itself', () => {
    const mouth: SimpleCommand = {
      type: 'changePerson',
      personId: 'host',
      person: { at: { xM: 0, yM: 0, facingDeg: 0 } },
    };
    const stands = (facingDeg: number): SimpleCommand => ({
      type: 'placeDevice',
      deviceId: 'mic',
      at: { xM: 0, yM: 0.08, facingDeg },
      aim: null,
    });
    const towards = levelOf(having(mouth, stands(180)));
    expect(levelOf(having(mouth, stands(90))) - towards).toBeCloseTo(-6.021, 2);
    expect(levelOf(having(mouth, stands(0))) - towards).toBeCloseTo(-25, 2);
  });
});
