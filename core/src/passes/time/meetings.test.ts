import fc from 'fast-check';
import { apply, type Command, type Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { measuredOffset } from '../../rules/time/measured-for-cases';
import { done, workedTime } from '../../rules/time/time-for-cases';
import { type Analysis, analyse } from '../../analyse';
import { meetings, type Pair } from '.';
import { times } from '../../runs-for-cases';

const at = (analysis: Analysis, placeId: string): Pair[] =>
  meetings(analysis)
    .filter((meeting) => meeting.placeId === placeId)
    .flatMap(({ pairs }) => [...pairs]);

const offsetAt = (rig: Rig, placeId: string): number | null | undefined =>
  at(analyse(rig), placeId).find(({ offsetMs }) => offsetMs !== null)?.offsetMs;

describe('worked D: where sound and picture meet', () => {
  const rig = workedTime();
  it('the stream’s sound is 143.77 ms early, which is 4.31 frames', () => {
    const offsetMs = offsetAt(rig, 'stream') ?? NaN;
    expect(offsetMs).toBeCloseTo(-143.77, 2);
    expect(-offsetMs / (1001 / 30)).toBeCloseTo(4.31, 2);
  });
  it('the switcher’s own recording’s is 99.60 ms early: another setting', () =>
    expect(offsetAt(rig, 'recorder')).toBeCloseTo(-99.6, 2));
  it('two frames of the camera are 66.73 ms and one of the switcher 33.37, anywhere from half to twice', () => {
    const [pair] = at(analyse(rig), 'recorder');
    expect(pair?.picture.steps.map(({ deviceId, ms }) => [deviceId, ms?.toFixed(2)])).toEqual([
      ['camera', '66.73'],
      ['switcher', '33.37'],
    ]);
    // Camera one to three frames, switcher a half to two; the direct path 0.35 to 0.75.
    expect(pair?.leastMs).toBeCloseTo(0.35 - 100.1 - 66.7333, 2);
    expect(pair?.mostMs).toBeCloseTo(0.75 - 33.3667 - 16.6833, 2);
  });
  it('what nobody knows is named and not reckoned', () => {
    const unknown = at(analyse(rig), 'stream').filter(({ offsetMs }) => offsetMs === null);
    expect(unknown.flatMap((pair) => pair.unknown.map(({ key }) => key))).toEqual([
      'capture|sound',
    ]);
  });
  it('a delay that is set counts to the millisecond', () =>
    expect(
      offsetAt(
        done(rig, {
          type: 'setDelay',
          deviceId: 'switcher',
          portId: 'sound-1',
          signal: 'sound',
          ms: 100,
        }),
        'recorder',
      ),
    ).toBeCloseTo(0.4, 2));
  it('a voice 3 m away comes 8.74 ms later, at 343 m/s', () => {
    const far = done(
      rig,
      { type: 'removeKnownDelay', knownDelayId: 'known-1' },
      { type: 'setControl', deviceId: 'mic', control: 'distance', value: 3 },
    );
    expect((offsetAt(far, 'recorder') ?? NaN) + 99.6).toBeCloseTo(8.746, 3);
  });
});

describe('a measurement', () => {
  const rig = workedTime();
  const measured = done(rig, measuredOffset(rig, -120));
  it('takes the place of what is reckoned, with its own spread', () => {
    const [pair] = at(analyse(measured), 'recorder');
    expect(pair?.offsetMs).toBe(-120);
    expect([pair?.leastMs, pair?.mostMs]).toEqual([-122, -118]);
    expect(pair?.predictedMs).toBeCloseTo(-99.6, 2);
  });
  it('goes along with a delay that is set later', () => {
    const set: Command = {
      type: 'setDelay',
      deviceId: 'switcher',
      portId: 'sound-1',
      signal: 'sound',
      ms: 100,
    };
    expect(offsetAt(done(measured, set), 'recorder')).toBe(-20);
    // And where it was set before it was measured.
    const set1 = done(rig, set);
    const then = done(set1, measuredOffset(set1, -20));
    expect(offsetAt(done(then, { ...set, ms: null }), 'recorder')).toBe(-120);
  });
  it('is stale once something on the way is set otherwise, and holds again once it is set back', () => {
    const other: Command = {
      type: 'setControl',
      deviceId: 'camera',
      control: 'format',
      value: '1920x1080p25',
    };
    const [pair] = at(analyse(done(measured, other)), 'recorder');
    expect(pair?.stale?.offsetMs).toBe(-120);
    // Two frames and one at 25: 120 ms.
    expect(pair?.offsetMs).toBeCloseTo(0.5 - 120, 2);
    const back = done(measured, other, { ...other, value: '1920x1080p30000/1001' });
    expect(at(analyse(back), 'recorder')[0]?.measured?.offsetMs).toBe(-120);
  });
  it('leaves with its device', () =>
    expect(done(measured, { type: 'removeDevice', deviceId: 'recorder' }).offsets).toEqual({}));
});

describe('always', () => {
  const rigs = ['night-tide', 'second-firing', 'harbour-hall'].map((name) => demoRig(name));
  it('a delay of d on the way of sound moves its pairs by d and no other', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...rigs),
        fc.nat(),
        fc.integer({ min: 1, max: 400 }),
        (rig, pick, ms) => {
          const before = analyse(rig);
          const ways = meetings(before).flatMap(({ sounds }) =>
            sounds.flatMap(({ knobs }) => knobs),
          );
          const knob = ways[pick % ways.length];
          if (!knob) return;
          const { deviceId, portId, signal } = knob;
          const after = analyse(apply(rig, { type: 'setDelay', deviceId, portId, signal, ms }));
          const offsets = (analysis: Analysis) =>
            new Map(
              meetings(analysis).flatMap(({ placeId, pairs }) =>
                pairs.flatMap(({ sound, picture, predictedMs }) =>
                  sound.sourceIds.flatMap((soundId) =>
                    picture.sourceIds.map((pictureId) => [
                      `${placeId} ${soundId} ${pictureId} ${sound.knobs.map(({ portId: id }) => id).join(' ')}`,
                      {
                        predictedMs,
                        isThrough: sound.knobs.some(
                          (one) => one.deviceId === deviceId && one.portId === portId,
                        ),
                      },
                    ]),
                  ),
                ),
              ),
            );
          const now = offsets(after);
          for (const [key, { predictedMs, isThrough }] of offsets(before))
            if (predictedMs !== null)
              expect(now.get(key)?.predictedMs).toBeCloseTo(predictedMs + (isThrough ? ms : 0), 6);
        },
      ),
      { numRuns: times(15) },
    );
  });
  it('what is least is not above what is typical, and that not above what is most', () => {
    for (const rig of rigs)
      for (const { pairs } of meetings(analyse(rig)))
        for (const { offsetMs, leastMs, mostMs } of pairs)
          if (offsetMs !== null) {
            expect(leastMs).toBeLessThanOrEqual(offsetMs);
            expect(offsetMs).toBeLessThanOrEqual(mostMs);
          }
  });
});
