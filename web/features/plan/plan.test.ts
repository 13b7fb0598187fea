import { analyse, apply, type Rig, RigDraft } from '@echo-loom/core';
import { secondFiring } from '../../../demo/second-firing';
import { fitted, lengthText, xOf, yOf, zoomed } from './plane';
import { laidThings } from './laid-things';
import { cornersOf, putAt, thingsOf } from './things';

const thingIn = (rig: Rig, key: string) => {
  const thing = thingsOf(analyse(rig)).find((one) => one.key === key);
  if (!thing) throw new Error(`${key} is not on the plan`);
  return thing;
};
const put = (rig: Rig, key: string, to: { xM?: number; yM?: number; facingDeg?: number }): Rig => {
  const thing = thingIn(rig, key);
  return putAt(rig, thing, { ...thing.at, ...to }).reduce(apply, rig);
};

describe('putting things somewhere else on the plan', () => {
  const rig = secondFiring();
  it.each(['person:host', 'noise:kiln-fan', 'sight:kiln', 'support:boom', 'device:switcher'])(
    '%s stands where it was put',
    (key) => {
      const after = put(rig, key, { xM: 3.21, yM: 2.34 });
      expect(thingIn(after, key).at).toMatchObject({ xM: 3.21, yM: 2.34 });
    },
  );
  it('a camera takes its tripod along', () => {
    const before = thingIn(rig, 'device:host-camera').at;
    const after = put(rig, 'device:host-camera', { xM: before.xM + 1 });
    expect(after.supports['host-tripod']?.at?.xM).toBeCloseTo(2.58, 9);
    expect(after.devices['host-camera']?.on).toEqual(rig.devices['host-camera']?.on);
  });
  it('a desk that is turned takes its arms and everything on it along', () => {
    const turned = put(rig, 'support:bench', { facingDeg: 90 });
    const [bench, arm] = [rig.supports['bench']?.at, rig.supports['host-arm']?.at];
    if (!bench || !arm) throw new Error('nothing stands there');
    // What lay to the left of its middle now lies up the plan of it.
    expect(turned.supports['host-arm']?.at?.yM).toBeCloseTo(bench.yM + (bench.xM - arm.xM), 2);
    expect(turned.supports['host-arm']?.at?.facingDeg).toBe(90);
    expect(turned.devices['switcher']?.on).toEqual(rig.devices['switcher']?.on);
  });
  it('a microphone on an arm follows its mouth and is not moved by itself', () =>
    expect(thingIn(rig, 'device:host-mic').moves).toBe(false));
  it('a corner takes its two walls along, and the height stays', () => {
    const [corner] = cornersOf(analyse(rig));
    if (!corner) throw new Error('no walls');
    const after = putAt(rig, corner, { ...corner.at, xM: -2, yM: -1.5 }).reduce(apply, rig);
    expect(after.shell?.corners).toEqual(
      rig.shell?.corners.map((at, index) => (index === 0 ? { xM: -2, yM: -1.5 } : at)),
    );
    expect(after.shell?.heightM).toBe(rig.shell?.heightM);
  });
  it('a point of a way goes alone, at its height, and the cables in it go along', () => {
    const point = laidThings(analyse(rig)).find(({ id }) => id === 'beam-run 2');
    if (!point) throw new Error('no such point');
    const after = putAt(rig, point, { ...point.at, xM: 11, yM: 4.5 }).reduce(apply, rig);
    expect(after.cableWays['beam-run']?.points).toEqual(
      rig.cableWays['beam-run']?.points.map((at, index) =>
        index === 2 ? { xM: 11, yM: 4.5, zM: at.zM } : at,
      ),
    );
  });
  it('a strip goes where it was put', () => {
    const strip = laidThings(analyse(rig)).find(({ id }) => id === 'rack-strip');
    if (!strip) throw new Error('no strip');
    const after = putAt(rig, strip, { ...strip.at, xM: 1, yM: 2 }).reduce(apply, rig);
    expect(after.feeds['rack-strip']?.at).toEqual({ xM: 1, yM: 2 });
  });
  it('walls that would cross are refused', () => {
    const [corner] = cornersOf(analyse(rig));
    if (!corner) throw new Error('no walls');
    expect(() => putAt(rig, corner, { ...corner.at, xM: 14, yM: 3 }).reduce(apply, rig)).toThrow(
      /cross/,
    );
  });
  it('nobody is on the plan of an empty rig', () =>
    expect(thingsOf(analyse(new RigDraft('Empty').build()))).toEqual([]));
});

describe('the drawing', () => {
  const corners = [
    { xM: 0, yM: 0 },
    { xM: 8, yM: 0 },
    { xM: 8, yM: 4 },
    { xM: 0, yM: 4 },
  ];
  const plane = fitted(corners, 760, 520);
  it('holds everything, as large as it goes', () => {
    for (const corner of corners) {
      expect(xOf(plane, corner)).toBeGreaterThanOrEqual(43.9);
      expect(xOf(plane, corner)).toBeLessThanOrEqual(716.1);
      expect(yOf(plane, corner)).toBeGreaterThanOrEqual(43.9);
      expect(yOf(plane, corner)).toBeLessThanOrEqual(476.1);
    }
    expect(plane.pxPerM).toBeCloseTo(84, 9);
  });
  it('grows about the point that is pointed at', () => {
    const [x, y] = [xOf(plane, { xM: 2 }), yOf(plane, { yM: 1 })];
    const larger = zoomed(plane, 2, x, y);
    expect(larger.pxPerM).toBeCloseTo(168, 9);
    expect([xOf(larger, { xM: 2 }), yOf(larger, { yM: 1 })]).toEqual([
      expect.closeTo(x, 6),
      expect.closeTo(y, 6),
    ]);
  });
  it.each([
    [1.83, 'm', '1.83 m'],
    [1.8288, 'ft', '6′ 0″'],
    [2.6, 'ft', '8′ 6.5″'],
    [-0.3048, 'ft', '−1′ 0″'],
  ] as const)('writes %s in %s', (metres, units, text) =>
    expect(lengthText(metres, units)).toBe(text),
  );
});
