import fc from 'fast-check';
import { spreadOf } from '../day/spread';
import { line } from '../day/checklist/line';
import { compareRuns, type RunToCompare } from './compared';
import { readOff } from './readings';

const run = (
  setUpMin: number,
  lasted: readonly (number | null)[],
  more: Partial<RunToCompare> = {},
): RunToCompare => ({
  plan: { segments: [], lengthMin: 10, clock: { is: 'real' } },
  firstTickMs: 0,
  liveMs: setUpMin * 60_000,
  endedMs: setUpMin * 60_000 + 630_000,
  segments: lasted.map((lastedS, at) => ({ segmentId: `s${at}`, lastedS })),
  measured: [],
  troubled: [],
  ...more,
});
const PLANNED = [
  { id: 's0', title: 'Hello', lengthS: 120 },
  { id: 's1', title: 'Glaze', lengthS: 300 },
];

describe('runs beside one another', () => {
  it('says least, middle and most of setting up, of the length, of each segment', () => {
    const compared = compareRuns(
      [run(58, [140, 395]), run(49, [125, 340]), run(41, [120, 315])],
      PLANNED,
      [],
    );
    expect(compared).toEqual({
      runs: 3,
      setUp: { least: 41 * 60, middle: 49 * 60, most: 58 * 60, times: 3 },
      over: { least: 30, middle: 30, most: 30, times: 3 },
      segments: [
        {
          segmentId: 's0',
          title: 'Hello',
          plannedS: 120,
          took: { least: 120, middle: 125, most: 140, times: 3 },
        },
        {
          segmentId: 's1',
          title: 'Glaze',
          plannedS: 300,
          took: { least: 315, middle: 340, most: 395, times: 3 },
        },
      ],
      readings: [],
      trouble: [],
    });
  });
  it('counts nothing of what was never live, is not over, or went faster than time', () => {
    const none = compareRuns(
      [
        run(10, [100], { liveMs: null }),
        run(10, [100], { endedMs: null }),
        run(10, [100], {
          plan: {
            segments: [],
            lengthMin: 10,
            clock: { is: 'simulated', fromMs: 0, serverMs: 0, speed: 10 },
          },
        }),
      ],
      PLANNED,
      [],
    );
    expect(none).toEqual({
      runs: 0,
      setUp: null,
      over: null,
      segments: [],
      readings: [],
      trouble: [],
    });
  });
  it('adds up a segment that was left and taken up again, and leaves out one that is still on', () => {
    const twice = run(10, [60], {
      segments: [
        { segmentId: 's0', lastedS: 60 },
        { segmentId: 's1', lastedS: 200 },
        { segmentId: 's0', lastedS: 30 },
      ],
    });
    expect(compareRuns([twice], PLANNED, []).segments.map(({ took }) => took.middle)).toEqual([
      90, 200,
    ]);
    expect(compareRuns([run(10, [null])], PLANNED, []).segments).toEqual([]);
  });
  it('sets what was read off beside what is expected, and says what is far off every time', () => {
    const read = (...values: readonly (readonly [string, number, string])[]) =>
      run(10, [], { measured: values.map(([lineId, value, unit]) => ({ lineId, value, unit })) });
    const voice = (id: string, expected: number) =>
      line({
        id,
        phase: 'test',
        what: 'Host speaks',
        why: '',
        reads: { unit: 'dBFS', expected, within: 4 },
      });
    const { readings } = compareRuns(
      [
        read(['voice a', -30, 'dBFS'], ['voice b', -30, 'dBFS'], ['gone', -9, 'dBFS']),
        read(['voice a', -29, 'dBFS'], ['voice b', -18, 'dBFS'], ['voice b', -5, 'V']),
      ],
      [],
      [voice('voice a', -24), voice('voice b', -24), voice('voice c', -24)],
    );
    expect(
      readings.map(({ line: { id }, values, isAlwaysFar }) => [id, values, isAlwaysFar]),
    ).toEqual([
      ['voice a', { least: -30, middle: -29.5, most: -29, times: 2 }, true],
      // Far off twice, once to either side: a voice that varies.
      ['voice b', { least: -30, middle: -24, most: -18, times: 2 }, false],
    ]);
  });
  it('calls nothing far off every time that was read once', () => {
    const once = run(10, [], { measured: [{ lineId: 'a', value: -60, unit: 'dBFS' }] });
    const reads = { unit: 'dBFS', expected: -24, within: 4 } as const;
    const its = line({ id: 'a', phase: 'test', what: 'Host speaks', why: '', reads });
    expect(compareRuns([once], [], [its]).readings[0]?.isAlwaysFar).toBe(false);
  });
  it('counts trouble by device, the most troubled first', () => {
    const trouble = (...troubled: readonly string[]) => run(10, [], { troubled });
    expect(compareRuns([trouble('b', 'a', 'a'), trouble('a'), trouble()], [], []).trouble).toEqual([
      { deviceId: 'a', incidents: 3, runs: 2 },
      { deviceId: 'b', incidents: 1, runs: 1 },
    ]);
  });
  it.each([
    ['dBFS', -24, -26.4, '2.4 dB quieter than computed', false],
    ['dBFS', -24, -19.9, '4.1 dB louder than computed', true],
    ['dBFS', -24, -20, '4 dB louder than computed', false],
    ['LUFS', -16, -16.04, 'as computed', false],
    ['ms', -42, -31, '11 ms later than when it was measured', true],
    ['ms', -42, -42, 'as measured before', false],
  ] as const)('%s: expected %f, read %f: %s', (unit, expected, value, says, isFar) => {
    const within = unit === 'ms' ? 10 : 4;
    expect(readOff({ unit, expected, within }, value)).toMatchObject({ says, isFar });
  });
  it('the middle lies between, whatever the order', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -999, max: 999 }), { minLength: 1 }), (values) => {
        const spread = spreadOf(values);
        if (!spread) throw new Error('no spread');
        const below = values.filter((value) => value <= spread.middle).length;
        const above = values.filter((value) => value >= spread.middle).length;
        expect(Math.min(below, above) * 2).toBeGreaterThanOrEqual(values.length);
        expect([spread.least, spread.most]).toEqual([Math.min(...values), Math.max(...values)]);
      }),
    ));
});
