import fc from 'fast-check';
import { gapM } from './desk';
import { ahead } from './geometry';
import { groundOf, overlapM } from './solid';

const metres = fc.double({ min: -3, max: 3, noNaN: true });
const ground = fc
  .record({
    xM: metres,
    yM: metres,
    facingDeg: fc.integer({ min: 0, max: 359 }),
    widthM: fc.double({ min: 0.1, max: 2, noNaN: true }),
    depthM: fc.double({ min: 0.1, max: 2, noNaN: true }),
  })
  .map(({ widthM, depthM, ...spot }) => ({ spot, widthM, depthM }));

describe('two grounds', () => {
  it('overlap by what the nearer sides say, where they lie straight', () => {
    const at = (xM: number) =>
      groundOf({ spot: { xM, yM: 0, facingDeg: 0 }, widthM: 1, depthM: 1 });
    expect(overlapM(at(0), at(0.7))).toBeCloseTo(0.3, 9);
    expect(overlapM(at(0), at(1))).toBe(0);
    expect(gapM(at(0), at(1.4))).toBeCloseTo(0.4, 9);
  });
  it('overlap alike, whichever is asked first, and have a gap or an overlap, never both', () =>
    fc.assert(
      fc.property(ground, ground, (one, other) => {
        const [a, b] = [groundOf(one), groundOf(other)];
        expect(overlapM(a, b)).toBeCloseTo(overlapM(b, a), 9);
        expect(gapM(a, b)).toBeCloseTo(gapM(b, a), 9);
        return overlapM(a, b) === 0 || gapM(a, b) === 0;
      }),
    ));
  it('overlap where a point lies in both', () =>
    fc.assert(
      fc.property(
        ground,
        ground,
        fc.double({ min: -0.45, max: 0.45, noNaN: true }),
        fc.double({ min: -0.45, max: 0.45, noNaN: true }),
        (one, other, right, forward) => {
          // The other is moved until its middle lies in the first.
          const spot = {
            ...other.spot,
            ...ahead(one.spot, right * one.widthM, forward * one.depthM),
          };
          return overlapM(groundOf(one), groundOf({ ...other, spot })) > 0;
        },
      ),
    ));
});
