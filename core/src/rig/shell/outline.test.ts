import fc from 'fast-check';
import { areaOf, isInside, lengthOfWalls, outlineProblem, rectangle, wallsOf } from './outline';

const at = (...pairs: readonly (readonly [number, number])[]) =>
  pairs.map(([xM, yM]) => ({ xM, yM }));
/** A room with a notch: 6 × 6 m less 3 × 3 in one corner. */
const NOTCHED = at([0, 0], [6, 0], [6, 3], [3, 3], [3, 6], [0, 6]);

describe('an outline', () => {
  it('has a floor and walls: 5.2 × 4.1 m are 21.32 m² and 18.6 m round', () => {
    expect(areaOf(rectangle(5.2, 4.1))).toBeCloseTo(21.32, 9);
    expect(lengthOfWalls(rectangle(5.2, 4.1))).toBeCloseTo(18.6, 9);
  });
  it('is as large whichever way round it is told', () => {
    expect(areaOf(NOTCHED)).toBe(27);
    expect(areaOf([...NOTCHED].reverse())).toBe(27);
    expect(lengthOfWalls(NOTCHED)).toBe(24);
  });
  it('closes from the last corner to the first', () =>
    expect(wallsOf(at([0, 0], [1, 0], [0, 1])).at(-1)).toEqual(at([0, 1], [0, 0])));
  it('may have corners on a straight wall', () =>
    expect(outlineProblem(at([0, 0], [2, 0], [4, 0], [4, 3], [0, 3]))).toBeNull());
  it.each([
    ['the same corner twice', at([0, 0], [4, 0], [4, 0], [0, 3]), 'two corners are the same'],
    [
      'walls that cross',
      at([0, 0], [4, 3], [4, 0], [0, 3]),
      'the walls from corner 1 and from corner 3 cross',
    ],
    [
      'a wall that runs into another',
      at([0, 0], [4, 0], [4, 4], [2, 0], [0, 4]),
      'the walls from corner 1 and from corner 3 cross',
    ],
    [
      'a wall that turns back over the one before',
      at([0, 0], [4, 0], [2, 0], [2, 3]),
      'the walls from corner 1 and from corner 2 cross',
    ],
    ['no width', at([0, 0], [4, 0], [8, 0]), 'the corners stand in one line'],
  ])('is none with %s', (_name, corners, why) => expect(outlineProblem(corners)).toBe(why));
});

describe('a point', () => {
  it.each([
    ['in the middle of one arm', 1, 5, true],
    ['in the middle of the other', 5, 1, true],
    ['in the notch', 4.5, 4.5, false],
    ['on a wall', 3, 4.5, true],
    ['on a corner', 6, 3, true],
    ['level with a corner and outside', 7, 3, false],
    ['level with a corner and inside', 1, 3, true],
    ['left of everything', -1, 2, false],
  ])('%s', (_name, xM, yM, is) => expect(isInside(NOTCHED, { xM, yM })).toBe(is));
  it('is in a rectangle where both its distances are', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 8, noNaN: true }),
        fc.double({ min: -2, max: 8, noNaN: true }),
        (xM, yM) =>
          expect(isInside(rectangle(5.2, 4.1), { xM, yM })).toBe(
            xM >= 0 && xM <= 5.2 && yM >= 0 && yM <= 4.1,
          ),
      ),
    ));
  it('is in as large a part of a field as the room is of it, counted by throwing', () => {
    let inside = 0;
    for (let x = 0.05; x < 6; x += 0.1)
      for (let y = 0.05; y < 6; y += 0.1) if (isInside(NOTCHED, { xM: x, yM: y })) inside++;
    expect(inside / 3600).toBeCloseTo(27 / 36, 9);
  });
});
