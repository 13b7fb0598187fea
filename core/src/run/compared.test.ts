import fc from 'fast-check';
import { spreadOf } from '../day/spread';
import { compareRuns, type RunToCompare } from './compared';

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
    );
    expect(none).toEqual({ runs: 0, setUp: null, over: null, segments: [] });
  });
  it('adds up a segment that was left and taken up again, and leaves out one that is still on', () => {
    const twice = run(10, [60], {
      segments: [
        { segmentId: 's0', lastedS: 60 },
        { segmentId: 's1', lastedS: 200 },
        { segmentId: 's0', lastedS: 30 },
      ],
    });
    expect(compareRuns([twice], PLANNED).segments.map(({ took }) => took.middle)).toEqual([
      90, 200,
    ]);
    expect(compareRuns([run(10, [null])], PLANNED).segments).toEqual([]);
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
