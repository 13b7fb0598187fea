import fc from 'fast-check';
import { PATTERNS } from '../../rig';
import {
  combRippleDb,
  criticalDistanceM,
  fartherFrom,
  patternDb,
  randomEnergyDb,
  THREE_TO_ONE_DB,
} from '../room';
import { directivity, proximityDb } from './pattern';

describe('polar patterns, against the handbook', () => {
  it.each([
    ['cardioid', 0, 0],
    ['cardioid', 90, -6.02],
    ['cardioid', 120, -12.04],
    ['cardioid', 180, -25],
    ['omni', 137, 0],
    ['figure of eight', 90, -25],
    ['figure of eight', 180, 0],
    ['supercardioid', 126, -25],
    ['hypercardioid', 180, -6.02],
  ] as const)('%s at %s°: %s dB', (pattern, deg, db) =>
    expect(patternDb(pattern, deg)).toBeCloseTo(db, 2),
  );
  it.each([
    // c/(2πfr) = 343/(2π·100·0.08) = 6.824; |1 − j·3.412| = 3.555
    ['cardioid', 0.08, 11.02],
    ['cardioid', 0.3, 2.62],
    ['figure of eight', 0.08, 16.77],
    ['omni', 0.08, 0],
    ['half space', 0.08, 0],
    // Nearer than 3 cm counts as 3 cm: |1 − j·9.098| = 9.153
    ['cardioid', 0.03, 19.23],
    ['cardioid', 0.01, 19.23],
  ] as const)('%s at %s m: 100 Hz comes %s dB louder', (pattern, distanceM, db) =>
    expect(proximityDb(pattern, distanceM)).toBeCloseTo(db, 2),
  );
  it('swells less the higher the note and the greater the distance', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...PATTERNS),
        fc.double({ min: 0.03, max: 2, noNaN: true }),
        fc.double({ min: 50, max: 2000, noNaN: true }),
        (pattern, distanceM, hz) => {
          const here = proximityDb(pattern, distanceM, hz);
          expect(proximityDb(pattern, distanceM * 2, hz)).toBeLessThanOrEqual(here);
          expect(proximityDb(pattern, distanceM, hz * 2)).toBeLessThanOrEqual(here);
          expect(here).toBeGreaterThanOrEqual(0);
        },
      ),
    ));
  it.each([
    ['omni', 0],
    ['cardioid', -4.77],
    ['supercardioid', -5.7],
    ['hypercardioid', -6.02],
    ['figure of eight', -4.77],
  ] as const)('%s takes %s dB of what comes from everywhere', (pattern, db) =>
    expect(randomEnergyDb(pattern)).toBeCloseTo(db, 2),
  );
  it('the part it takes of everywhere is the mean of its pattern over the sphere, added up step by step', () => {
    for (const pattern of ['omni', 'cardioid', 'hypercardioid', 'figure of eight'] as const) {
      let [sum, weight] = [0, 0];
      for (let deg = 0.25; deg < 180; deg += 0.5) {
        const ring = Math.sin((deg * Math.PI) / 180);
        sum += ring * 10 ** (patternDb(pattern, deg) / 10);
        weight += ring;
      }
      expect(Math.abs(10 * Math.log10(sum / weight) - randomEnergyDb(pattern))).toBeLessThan(0.05);
    }
  });
  it('is the same on both sides and never louder than in front', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...PATTERNS),
        fc.double({ min: 0, max: 180, noNaN: true }),
        (pattern, deg) => {
          expect(patternDb(pattern, deg)).toBeCloseTo(patternDb(pattern, -deg), 9);
          expect(patternDb(pattern, deg)).toBeLessThanOrEqual(1e-9);
        },
      ),
    ));
});

describe('relations of the room', () => {
  it('60 m³, 0.6 s: room as loud as voice at 0.570 m for an omni, √3 times that for a cardioid', () => {
    expect(criticalDistanceM(1, 60, 0.6)).toBeCloseTo(0.57, 3);
    expect(criticalDistanceM(directivity('cardioid'), 60, 0.6)).toBeCloseTo(0.987, 3);
  });
  it.each([
    [-9.54, 6.02],
    [-20, 1.74],
    [-38.48, 0.21],
  ])('a second arrival %s dB under the first ripples %s dB', (under, ripple) =>
    expect(combRippleDb(under)).toBeCloseTo(ripple, 2),
  );
  it('an arrival as loud as the first cancels wholly', () =>
    expect(combRippleDb(0)).toBe(Infinity));
  it('the 3:1 rule is 9.54 dB', () => expect(THREE_TO_ONE_DB).toBeCloseTo(9.54, 2));
  it('farther is straight away from the microphone', () =>
    expect(fartherFrom({ xM: 0, yM: 0 }, { xM: 3, yM: 4 }, 5)).toEqual({
      xM: expect.closeTo(6, 9) as number,
      yM: expect.closeTo(8, 9) as number,
    }));
});
