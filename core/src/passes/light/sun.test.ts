import { Body, Equator, Horizon, Observer } from 'astronomy-engine';
import fc from 'fast-check';
import type { Sky } from '../../rig';
import { airMass, momentOf, sunLight, uprightSkyLux } from './sun';
import { times } from '../../runs-for-cases';

const SKY: Sky = {
  latitudeDeg: 57.1,
  longitudeDeg: -2.1,
  upThePlanDeg: 0,
  on: '2026-11-28',
  atMin: 660,
  aheadMin: 0,
  is: 'clear',
};

/** By another package of the same trade. */
const second = (sky: Sky, atMin: number) => {
  const observer = new Observer(sky.latitudeDeg, sky.longitudeDeg, 0);
  const moment = momentOf(sky, atMin);
  const { ra, dec } = Equator(Body.Sun, moment, observer, true, true);
  return Horizon(moment, observer, ra, dec, 'normal');
};

/** Between two directions of a sky. @unit degrees */
const apart = (
  a: { azimuthDeg: number; altitudeDeg: number },
  b: { azimuth: number; altitude: number },
): number => {
  const rad = Math.PI / 180;
  const cosine =
    Math.sin(a.altitudeDeg * rad) * Math.sin(b.altitude * rad) +
    Math.cos(a.altitudeDeg * rad) *
      Math.cos(b.altitude * rad) *
      Math.cos((a.azimuthDeg - b.azimuth) * rad);
  return Math.acos(Math.min(1, cosine)) / rad;
};

describe('the sun', () => {
  it('stands where a second ephemeris has it, to half a degree, anywhere and at any time', () =>
    fc.assert(
      fc.property(
        fc.record({
          latitudeDeg: fc.double({ min: -66, max: 66, noNaN: true }),
          longitudeDeg: fc.double({ min: -180, max: 180, noNaN: true }),
          day: fc.integer({ min: 0, max: 3650 }),
          atMin: fc.integer({ min: 0, max: 1439 }),
        }),
        ({ latitudeDeg, longitudeDeg, day, atMin }) => {
          const on = new Date(Date.UTC(2026, 0, 1 + day)).toISOString().slice(0, 10);
          const sky: Sky = { ...SKY, latitudeDeg, longitudeDeg, on };
          const here = sunLight(sky, atMin);
          // Near the horizon and below it the air bends light by more than anybody knows.
          fc.pre(here.altitudeDeg > 1);
          expect(apart(here, second(sky, atMin))).toBeLessThan(0.5);
        },
      ),
      { numRuns: times(300) },
    ));
  it('is told by the clock of the place', () => {
    expect(momentOf({ on: '2026-06-21', aheadMin: 120 }, 720).toISOString()).toBe(
      '2026-06-21T10:00:00.000Z',
    );
    expect(momentOf({ on: '2026-06-21', aheadMin: -300 }, 1380).toISOString()).toBe(
      '2026-06-22T04:00:00.000Z',
    );
  });
  it('gives what the standard relation says, and nothing by night or behind clouds', () => {
    const morning = sunLight(SKY, 660);
    expect(morning.altitudeDeg).toBeGreaterThan(8);
    expect(morning.sunLux).toBeCloseTo(127_500 * Math.exp(-0.21 * airMass(morning.altitudeDeg)), 6);
    expect(sunLight(SKY, 60)).toMatchObject({ sunLux: 0, skyLux: 0 });
    const clouds = sunLight({ ...SKY, is: 'overcast' }, 660);
    expect(clouds.sunLux).toBe(0);
    expect(clouds.skyLux).toBeCloseTo(
      300 + 21_000 * Math.sin((clouds.altitudeDeg * Math.PI) / 180),
      6,
    );
  });
  it('turns with the plan', () => {
    const [straight, turned] = [sunLight(SKY, 660), sunLight({ ...SKY, upThePlanDeg: 90 }, 660)];
    expect(turned.towards[0]).toBeCloseTo(-straight.towards[1], 9);
    expect(turned.towards[1]).toBeCloseTo(straight.towards[0], 9);
    expect(straight.towards[2]).toBeGreaterThan(0);
  });
  it('shines through 1 air from straight above, and a wall takes in half the sky', () => {
    expect(airMass(90)).toBeCloseTo(1, 2);
    expect(
      uprightSkyLux({ ...sunLight(SKY, 660), skyLux: 1000, sunLux: 0, altitudeDeg: 10 }),
    ).toBeCloseTo(600, 9);
  });
});
