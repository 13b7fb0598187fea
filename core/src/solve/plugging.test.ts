import fc from 'fast-check';
import { RigDraft } from '../catalogue/draft';
import { circuitLoadings, feedLoadings } from '../passes/power';
import { isNeeded } from '../passes/power/needed';
import { measure } from '../passes/measure';
import { apply, type FeedFigures, type Rig } from '../rig';
import { plugAll } from './plugging';
import { times } from '../runs-for-cases';

const CLASSES = [
  'switcher-4',
  'display-monitor',
  'computer-desktop',
  'player-console-fast',
  'interface-4',
  'loudspeaker-active',
];

interface Given {
  readonly devices: readonly number[];
  readonly feeds: readonly (readonly [is: number, sockets: number, circuit: number])[];
  readonly breakerA: number;
}

const FIGURES = (is: number, sockets: number): FeedFigures =>
  is === 0
    ? { is: 'ups', sockets, mostW: 300, mostVa: 500, wh: 288, efficiency: 0.85 }
    : { is: 'strip', sockets, mostA: 6 };

const rigOf = ({ devices, feeds, breakerA }: Given): Rig => {
  let draft = new RigDraft('Case').do({ type: 'setMains', mains: { hz: 60, volts: 120 } });
  for (const circuitId of ['circuit-0', 'circuit-1'])
    draft = draft.do({ type: 'addCircuit', circuitId, circuit: { name: circuitId, breakerA } });
  for (const [index, [is, sockets, circuit]] of feeds.entries())
    draft = draft.do({
      type: 'addFeed',
      feedId: `feed-${index}`,
      feed: {
        name: `Feed ${index}`,
        figures: FIGURES(is, sockets),
        from: { by: 'circuit', circuitId: `circuit-${circuit}` },
        at: null,
      },
    });
  for (const [index, kind] of devices.entries())
    draft = draft.device(`device-${index}`, CLASSES[kind] ?? 'switcher-4', {
      name: `Device ${index}`,
    });
  return draft.build();
};

/** What is bad about a rig as it is plugged, reckoned from the analysis alone; the worst first. */
const badness = (rig: Rig): number[] => {
  const measured = measure(rig);
  const feeds = feedLoadings(measured);
  const volts = rig.mains?.volts ?? 230;
  const socketsOver = feeds.reduce(
    (sum, { taken, feed }) => sum + Math.max(0, taken - feed.figures.sockets),
    0,
  );
  const stripsOver = feeds.reduce(
    (sum, { feed, a, va, w }) =>
      sum +
      (feed.figures.is === 'ups'
        ? Math.max(0, va - feed.figures.mostVa, w - feed.figures.mostW) / volts
        : Math.max(0, (a ?? 0) - (feed.figures.mostA ?? Infinity))),
    0,
  );
  const circuitsOver = circuitLoadings(measured).reduce(
    (sum, { a, allowedA }) => sum + Math.max(0, (a ?? 0) - allowedA),
    0,
  );
  const hasUps = feeds.some(({ feed }) => feed.figures.is === 'ups');
  const notLasting = hasUps
    ? Object.entries(rig.plugs).filter(
        ([id, feedId]) => isNeeded(measured, id) && rig.feeds[feedId]?.figures.is !== 'ups',
      ).length
    : 0;
  return [
    socketsOver,
    Number((stripsOver + circuitsOver).toFixed(6)),
    notLasting,
    feeds.filter(({ drawn }) => drawn.length > 0).length,
  ];
};

const compare = (a: readonly number[], b: readonly number[]): number => {
  for (const [index, value] of a.entries()) {
    const against = b[index] ?? 0;
    if (Math.abs(value - against) > 1e-5) return value - against;
  }
  return 0;
};

const pluggedBy = (rig: Rig, feedIds: readonly string[]): Rig => ({
  ...rig,
  plugs: Object.fromEntries(
    Object.keys(rig.devices).map((id, index) => [id, feedIds[index] ?? 'feed-0']),
  ),
});

const given = (most: number) =>
  fc.record({
    devices: fc.array(fc.integer({ min: 0, max: CLASSES.length - 1 }), {
      minLength: 1,
      maxLength: most,
    }),
    feeds: fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 2 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 0, max: 1 }),
      ),
      { minLength: 1, maxLength: 3 },
    ),
    breakerA: fc.constantFrom(5, 10, 20),
  });

const applied = (rig: Rig): Rig => {
  const found = plugAll(measure(rig));
  if (!found) throw new Error('nothing was plugged in');
  return apply(rig, { type: 'batch', label: 'Plug it', commands: [...found.commands] });
};

describe('plug it for me', () => {
  it('finds what trying every way finds, on 60 small rigs', () => {
    fc.assert(
      fc.property(given(4), (one) => {
        const rig = rigOf(one);
        expect(plugAll(measure(rig))?.isExact).toBe(true);
        const ids = Object.keys(rig.feeds);
        let ways: string[][] = [[]];
        for (let device = 0; device < one.devices.length; device++)
          ways = ways.flatMap((way) => ids.map((id) => [...way, id]));
        const least = ways
          .map((way) => badness(pluggedBy(rig, way)))
          .reduce((best, next) => (compare(next, best) < 0 ? next : best));
        expect(compare(badness(applied(rig)), least)).toBe(0);
      }),
      { numRuns: times(60) },
    );
  });
  it('is no worse than it was on large ones, and says what no way can do with', () => {
    fc.assert(
      fc.property(given(40), fc.integer({ min: 0, max: 1000 }), (one, seed) => {
        const rig = rigOf({ ...one, devices: [...one.devices, ...one.devices, 0, 1, 2, 3] });
        const ids = Object.keys(rig.feeds);
        const before = pluggedBy(
          rig,
          Object.keys(rig.devices).map((_, index) => ids[(seed + index * 7) % ids.length] ?? ''),
        );
        const found = plugAll(measure(before));
        expect(found).not.toBeNull();
        if (!found) return;
        // What has the sockets never does with fewer than the bound.
        if (found.lacks.length === 0)
          expect(found.feeds).toBeGreaterThanOrEqual(found.atLeastFeeds);
        expect(compare(badness(applied(before)), badness(before))).toBeLessThanOrEqual(0);
      }),
      { numRuns: times(15) },
    );
  });
  it('has nothing to say where there is nothing to plug, or nowhere', () => {
    expect(plugAll(measure(new RigDraft('Empty').build()))).toBeNull();
    expect(
      plugAll(measure(new RigDraft('Nowhere').device('one', 'switcher-4').build())),
    ).toBeNull();
  });
  it('leaves what is as good as anything else where it is', () => {
    const rig = rigOf({
      devices: [1],
      feeds: [
        [1, 4, 0],
        [1, 4, 1],
      ],
      breakerA: 20,
    });
    const there = pluggedBy(rig, ['feed-1']);
    expect(plugAll(measure(there))?.commands).toEqual([]);
  });
});
