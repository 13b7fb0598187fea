import fc from 'fast-check';
import { rectangle } from '../index';
import { apply, type Point } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { fromWall, markSheet, markWalls } from './marks';

describe('marks from two walls', () => {
  it('takes the longest wall, and the one that stands square to it', () => {
    const walls = markWalls(rectangle(8, 5));
    expect(walls?.map(({ name }) => name)).toEqual([
      'lower wall, corner 1 to corner 2',
      'right wall, corner 2 to corner 3',
    ]);
    expect(walls?.map((wall) => fromWall(wall, { xM: 2, yM: 1.5 }))).toEqual([1.5, 6]);
  });
  it('leaves no other place in the room, wherever a thing stands and however the room is turned', () =>
    fc.assert(
      fc.property(
        fc.record({
          wide: fc.double({ min: 2, max: 20, noNaN: true }),
          deep: fc.double({ min: 2, max: 20, noNaN: true }),
          turned: fc.double({ min: 0, max: 6.28, noNaN: true }),
          x: fc.double({ min: 0, max: 1, noNaN: true }),
          y: fc.double({ min: 0, max: 1, noNaN: true }),
        }),
        ({ wide, deep, turned, x, y }) => {
          const turn = ({ xM, yM }: Point): Point => ({
            xM: xM * Math.cos(turned) - yM * Math.sin(turned),
            yM: xM * Math.sin(turned) + yM * Math.cos(turned),
          });
          const corners = rectangle(wide, deep);
          const walls = markWalls(corners.map(turn));
          const point = { xM: x * wide, yM: y * deep };
          const measured = walls?.map((wall) => fromWall(wall, turn(point))) ?? [];
          // Turning the room changes neither what is measured nor the walls it is measured from, but for squares.
          const straight = markWalls(corners)?.map((wall) => fromWall(wall, point)) ?? [];
          const sides = (pair: readonly number[]) => [...pair].sort((a, b) => a - b);
          const mirrored = [
            [straight[0] ?? 0, straight[1] ?? 0],
            [deep - (straight[0] ?? 0), straight[1] ?? 0],
            [straight[0] ?? 0, wide - (straight[1] ?? 0)],
            [wide - (straight[0] ?? 0), straight[1] ?? 0],
            [straight[0] ?? 0, deep - (straight[1] ?? 0)],
            [deep - (straight[0] ?? 0), wide - (straight[1] ?? 0)],
            [wide - (straight[0] ?? 0), deep - (straight[1] ?? 0)],
          ];
          expect(
            mirrored.some((pair) =>
              sides(pair).every((value, at) => Math.abs(value - (sides(measured)[at] ?? 0)) < 1e-6),
            ),
          ).toBe(true);
        },
      ),
    ));
  it('is nothing where no two walls meet', () =>
    expect(
      markWalls([
        { xM: 0, yM: 0 },
        { xM: 5, yM: 0 },
        { xM: 10, yM: 0.01 },
      ]),
    ).toBeNull());
  it('of Second Firing: everybody and everything on the floor of that set, in its tape', () => {
    const rig = demoRig('second-firing');
    const [show, firing] = ['show', 'firing'].map((id) => markSheet(rig, id));
    expect([show?.tape, firing?.tape]).toEqual(['blue', 'orange']);
    const host = (sheet: typeof show) => sheet?.marks.find(({ id }) => id === 'person host');
    expect(host(show)?.facingDeg).toBe(20);
    expect(host(firing)?.facingDeg).toBe(200);
    const names = show?.marks.map(({ name }) => name) ?? [];
    expect(names).toContain('Host camera’s tripod');
    expect(names).not.toContain('Low beam');
    expect(names).not.toContain('Host’s arm');
    for (const { aM, bM } of show?.marks ?? []) expect(Math.min(aM, bM)).toBeGreaterThanOrEqual(0);
  });
  it('counts from the corner of the plan where the room is not drawn', () => {
    const rig = apply(demoRig('night-tide'), { type: 'drawRoom', room: null });
    const kept = apply(rig, { type: 'keepSet', setId: 'a', name: 'A' });
    const { walls, marks } = markSheet(kept, 'a');
    expect(walls).toBeNull();
    expect(marks.find(({ id }) => id === 'person host')).toMatchObject({ aM: 1.5, bM: 1 });
  });
});
