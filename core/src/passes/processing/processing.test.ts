import {
  type Compressor,
  curvePoints,
  pressedTo,
  type Processor,
  processors,
  ratioTogether,
} from '.';
import { analyse } from '../../analyse';
import { apply, type Command, type Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { voiceThrough } from '../../rules/rigs-for-cases';
import { loudnesses, loudnessOf } from './loudness';

const strip = (settings: Readonly<Record<string, number | boolean>>): Rig =>
  voiceThrough(
    'mic-dynamic-stage',
    'channel-processor',
    { in: 'in', out: 'out', into: 'line-1' },
    {},
    { gain: 50, ...settings },
  ).build();
const found = (rig: Rig): readonly Processor[] => processors(analyse(rig));
const compressor = (rig: Rig): Compressor => {
  const only = found(rig).find(
    (processor): processor is Compressor => processor.does === 'compress',
  );
  if (!only) throw new Error('no compressor');
  return only;
};

describe('the voice where it is processed', () => {
  it('is what the gain before it makes of it: 62 dB at 8 cm, 2.2 mV/Pa, 50 dB', () => {
    const { voiceIn } = compressor(strip({ compress: true }));
    // −60.99 dBu, 0.70 dB lost into 2.4 kΩ, 50 dB of gain.
    expect(voiceIn).toMatchObject({
      unit: 'dBu',
      averageDb: expect.closeTo(-11.69, 2) as number,
      peakDb: expect.closeTo(-0.7, 2) as number,
      quietestDb: expect.closeTo(-17.69, 2) as number,
      loudestDb: expect.closeTo(-5.69, 2) as number,
    });
  });
  it('lies over hiss alone where no room is known, and over the room where it is', () => {
    const rig = strip({ gate: true });
    const under = (given: Rig) => found(given)[0]?.voiceIn.underneathDb;
    expect(under(rig)).toBeCloseTo(-74.85, 2);
    const inRoom = (
      [
        { type: 'changePerson', personId: 'host', person: { at: { xM: 0, yM: 0, facingDeg: 0 } } },
        { type: 'setRoom', room: { volumeM3: null, rt60S: null, noiseDba: 44.77 } },
      ] satisfies Command[]
    ).reduce((given, command) => apply(given, command), rig);
    // 40 dB(A) in a cardioid against 83.94: 43.94 under the voice, and the hiss with it.
    expect(under(inRoom)).toBeCloseTo(-55.58, 2);
  });
  it('is found for what is switched out too, and not where nothing is known', () => {
    expect(found(strip({})).map(({ does, isIn }) => [does, isIn])).toEqual([
      ['gate', false],
      ['compress', false],
    ]);
    expect(
      found(
        apply(strip({}), {
          type: 'setFigure',
          deviceId: 'mic',
          path: 'ports.out.emits.sound.sensitivityMvPerPa',
          value: null,
        }),
      ),
    ).toEqual([]);
  });
});

describe('a compressor on it', () => {
  const pressed = compressor(strip({ compress: true, threshold: -20, ratio: 3, 'make-up': 4 }));
  it('takes two thirds of what is over its threshold', () => {
    // −11.69 is 8.31 over −20 and leaves as 2.77 over; peaks of −0.70 are 19.30 over and leave as
    // 6.43 over; 4 dB are added.
    expect(pressedTo(pressed).averageDb).toBeCloseTo(-13.23, 2);
    expect(pressedTo(pressed).peakDb).toBeCloseTo(-9.57, 2);
  });
  it('is drawn from under the voice to over its peaks, one to one up to the threshold and a third above', () => {
    const points = curvePoints(pressed);
    expect(points[0]?.inDb).toBeLessThan(-20);
    expect(points.at(-1)?.inDb).toBeGreaterThan(-0.7);
    for (const { inDb, outDb } of points)
      expect(outDb).toBeCloseTo(inDb <= -20 ? inDb + 4 : -20 + (inDb + 20) / 3 + 4, 9);
  });
});

it.each([
  [[], 1],
  [[3], 3],
  [[3, 3], 9],
  [[2, 1.5, 4], 12],
])('compressors of %j press as %s to 1 together', (ratios, together) =>
  expect(ratioTogether(ratios)).toBeCloseTo(together, 9),
);

describe('loudness', () => {
  it.each([
    [[-18], -18],
    [[-18, -18, -18], -18],
    [[-16, -200], -19.01],
    [[-14, -20], -16.04],
  ])('voices at %j take turns at %s LUFS', (levels, lufs) =>
    expect(loudnessOf(levels)).toBeCloseTo(lufs, 2),
  );
  it('Night Tide: two quiet voices, 9.8 dB under −16 LUFS, with room for their peaks', () => {
    const [episode] = loudnesses(analyse(demoRig('night-tide')));
    expect(episode).toMatchObject({
      lufs: expect.closeTo(-25.8, 1) as number,
      targetLufs: -16,
      byDb: expect.closeTo(9.8, 1) as number,
    });
    expect(episode?.peakAfterDbtp).toBeLessThan(0);
  });
  it('a programme that is trimmed up by 3 dB measures 3 dB more', () => {
    const lufs = (trim: number) =>
      loudnesses(
        analyse(
          apply(demoRig('night-tide'), {
            type: 'setControl',
            deviceId: 'computer',
            control: 'programme-trim',
            value: trim,
          }),
        ),
      )[0]?.lufs ?? NaN;
    expect(lufs(3) - lufs(0)).toBeCloseTo(3, 9);
  });
  it('nothing is said of it without a brief', () =>
    expect(loudnesses(analyse({ ...demoRig('night-tide'), brief: null }))).toEqual([]));
});
