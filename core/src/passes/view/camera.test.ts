import fc from 'fast-check';
import type { InRoom } from '../place';
import {
  type Camera,
  cameraAt,
  edgeAsideM,
  fieldDeg,
  inPicture,
  passesThrough,
  pointInPicture,
  roundOutAsideM,
} from './camera';
import { times } from '../../runs-for-cases';

/** 35 mm on 35.6 × 20.03 mm, level, looking up the plan. @source handbook 5-plan */
const looking = (at: InRoom, target: InRoom): Camera => {
  const camera = cameraAt(at, target, 35.6, 20.03, 35);
  if (!camera) throw new Error('it looks at itself');
  return camera;
};
const LEVEL = looking({ xM: 0, yM: 0, zM: 1.2 }, { xM: 0, yM: 4, zM: 1.2 });

const box = (xM: number, yM: number, half: number) => [
  { xM: xM - half, yM: yM - half },
  { xM: xM + half, yM: yM - half },
  { xM: xM + half, yM: yM + half },
  { xM: xM - half, yM: yM + half },
];

describe('the handbook’s camera', () => {
  it('has a field of 53.9° × 31.9°', () =>
    expect([LEVEL.halfWidth, LEVEL.halfHeight].map((half) => fieldDeg(half).toFixed(1))).toEqual([
      '53.9',
      '31.9',
    ]));
  it('has a stand at 2.6 m ahead and 1.2 m aside in its picture: 24.8° of 27.0°', () => {
    expect(((Math.atan2(1.2, 2.6) * 180) / Math.PI).toFixed(1)).toBe('24.8');
    expect(Number((fieldDeg(LEVEL.halfWidth) / 2).toFixed(1))).toBeCloseTo(27, 0);
    expect(inPicture(LEVEL, box(1.2, 2.6, 0.01), 0, 2)).not.toBeNull();
  });
  it('no longer at 1.33 m, and with a radius of 0.35 m at 1.72 m', () => {
    const up = (m: number): number => Math.ceil(m * 100) / 100;
    expect(up(edgeAsideM(LEVEL, 2.6))).toBe(1.33);
    expect(up(roundOutAsideM(LEVEL, 2.6, 0.35))).toBe(1.72);
  });
});

describe('what shows of a body', () => {
  it('fills the picture from edge to edge where it is larger than that', () =>
    expect(
      (['left', 'right', 'bottom', 'top'] as const).map((edge) =>
        Number(inPicture(LEVEL, box(0, 3, 2.5), 0, 4)?.[edge].toFixed(9)),
      ),
    ).toEqual([-1, 1, -1, 1]));
  it('is nothing behind the lens, nor beyond the background', () => {
    expect(inPicture(LEVEL, box(0, -2, 0.5), 0, 2)).toBeNull();
    expect(inPicture(LEVEL, box(0, 6, 0.5), 0, 2, 5)).toBeNull();
  });
  it('is something where only a middle of it crosses the picture and no corner does', () =>
    expect(
      inPicture(
        LEVEL,
        [
          { xM: -9, yM: 3 },
          { xM: 9, yM: 3 },
          { xM: 9, yM: 3.1 },
          { xM: -9, yM: 3.1 },
        ],
        1,
        1.3,
      ),
    ).not.toBeNull());
  it('agrees with a thousand points of the body, each projected by itself', () =>
    fc.assert(
      fc.property(
        fc.record({
          x: fc.double({ min: -4, max: 4, noNaN: true }),
          y: fc.double({ min: 0.6, max: 6, noNaN: true }),
          half: fc.double({ min: 0.02, max: 0.6, noNaN: true }),
          from: fc.double({ min: 0, max: 1.5, noNaN: true }),
          tall: fc.double({ min: 0.05, max: 2, noNaN: true }),
          aim: fc.double({ min: 0.3, max: 2.4, noNaN: true }),
        }),
        ({ x, y, half, from, tall, aim }) => {
          const camera = looking({ xM: 0, yM: 0, zM: 1.2 }, { xM: 0.4, yM: 4, zM: aim });
          const shown = inPicture(camera, box(x, y, half), from, from + tall);
          const steps = Array.from({ length: 10 }, (_, step) => step / 9);
          const seen = steps.flatMap((a) =>
            steps.flatMap((b) =>
              steps.flatMap((c) => {
                const point = pointInPicture(camera, {
                  xM: x + (2 * a - 1) * half,
                  yM: y + (2 * b - 1) * half,
                  zM: from + c * tall,
                });
                return point && Math.abs(point.x) < 1 && Math.abs(point.y) < 1 ? [point] : [];
              }),
            ),
          );
          // Whatever point is in the picture lies within what is said to show.
          if (seen.length > 0 && !shown) return false;
          return seen.every(
            (point) =>
              shown !== null &&
              point.x >= shown.left - 1e-6 &&
              point.x <= shown.right + 1e-6 &&
              point.y >= shown.bottom - 1e-6 &&
              point.y <= shown.top + 1e-6,
          );
        },
      ),
      { numRuns: times(300) },
    ));
});

describe('a camera that looks straight down', () => {
  const above = looking({ xM: 2, yM: 2, zM: 2.6 }, { xM: 2, yM: 2, zM: 0.7 });
  it('has the top of its picture up the plan', () =>
    expect(pointInPicture(above, { xM: 2, yM: 2.3, zM: 0.7 })?.y).toBeGreaterThan(0));
  it('sees a hand to the right at the right', () =>
    expect(pointInPicture(above, { xM: 2.3, yM: 2, zM: 0.7 })?.x).toBeGreaterThan(0));
  it('looks at nothing where it would look at itself', () =>
    expect(cameraAt(above.at, above.at, 35.6, 20.03, 35)).toBeNull());
});

describe('a line of sight', () => {
  const from = { xM: 0, yM: 0, zM: 1.2 };
  const to = { xM: 0, yM: 4, zM: 1.2 };
  it('is stopped by what stands in it', () =>
    expect(passesThrough(from, to, box(0, 2, 0.2), 0, 1.5)).toBe(true));
  it('passes over what is lower, and beside what is aside', () => {
    expect(passesThrough(from, to, box(0, 2, 0.2), 0, 1)).toBe(false);
    expect(passesThrough(from, to, box(0.5, 2, 0.2), 0, 2)).toBe(false);
    expect(passesThrough(from, to, box(0, 5, 0.2), 0, 2)).toBe(false);
  });
  it('does not hang on which way round the ground is written', () =>
    expect(passesThrough(from, to, [...box(0, 2, 0.2)].reverse(), 0, 1.5)).toBe(true));
});
