import { analyse } from '../../analyse';
import { BEGINNINGS } from '../../build/rooms';
import { apply, isInside, rectangle } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { roomed } from './briefs-for-cases';
import { placeAll } from './place';
import { largestFloor, stagesOf } from './stage';
import { alsoInLong } from '../../runs-for-cases';

/** `npm run placing` places thirty in each room; one of them is placed on every run. */
const SEEDS = alsoInLong([1], [2, 3]);

describe.each(BEGINNINGS)('placed in a $name', (room) => {
  it.each(SEEDS)('brief %i: no stop, nobody outside, everybody placed', (seed) => {
    const rig = roomed(seed, room);
    const before = analyse(rig);
    const placing = placeAll(before);
    if (!placing) throw new Error('nothing was placed');
    const after = analyse(
      apply(rig, { type: 'batch', label: 'Placed.', commands: [...placing.commands] }),
    );
    const stops = (of: typeof after): number =>
      of.findings.filter(({ level }) => level === 'stop').length;
    expect(placing.leaves.stop).toBe(0);
    expect(stops(after)).toBeLessThanOrEqual(stops(before));
    const corners = after.rig.shell?.corners ?? [];
    for (const { at, where } of Object.values(after.rig.people))
      if (where === 'on site') expect(at !== null && isInside(corners, at)).toBe(true);
  });
});

describe('placing', () => {
  it('is the same each time', () => {
    const [room] = BEGINNINGS;
    if (!room) throw new Error('there is no room');
    const analysis = analyse(roomed(1, room));
    expect(placeAll(analysis)).toEqual(placeAll(analysis));
  });
  it('needs walls', () =>
    expect(
      placeAll(analyse(apply(demoRig('night-tide'), { type: 'drawRoom', room: null }))),
    ).toBeNull());
});

describe('the largest floor', () => {
  it('is the whole of a rectangle', () =>
    expect(largestFloor(rectangle(5, 4))).toEqual({ left: 0, right: 5, bottom: 0, top: 4 }));
  it('leaves the notch of a room out', () =>
    expect(
      largestFloor([
        { xM: 0, yM: 0 },
        { xM: 6, yM: 0 },
        { xM: 6, yM: 2 },
        { xM: 4, yM: 2 },
        { xM: 4, yM: 5 },
        { xM: 0, yM: 5 },
      ]),
    ).toEqual({ left: 0, right: 4, bottom: 0, top: 5 }));
  it('lies in all four ways, its middle always in the middle', () => {
    const stages = stagesOf({ left: 0, right: 5, bottom: 0, top: 4 });
    expect(stages.map(({ acrossM, deepM }) => [acrossM, deepM])).toEqual([
      [5, 4],
      [4, 5],
      [5, 4],
      [4, 5],
    ]);
    for (const stage of stages)
      expect(stage.at(stage.acrossM / 2, stage.deepM / 2)).toMatchObject({ xM: 2.5, yM: 2 });
    expect(stages[1]?.at(0.5, 1)).toEqual({ xM: 1, yM: 3.5, facingDeg: 90 });
  });
});
