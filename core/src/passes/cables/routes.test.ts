import fc from 'fast-check';
import { RigDraft } from '../../catalogue/draft';
import { type PlaceInRoom, rectangle, type Rig } from '../../rig';
import { measure } from '../measure';
import { routeBetween } from './route';
import { anyPoint, anySocket, apart, flat, hung, nearestOn, way } from './routes-for-cases';
import { tripGrounds } from './trips';
import { waysGraph, type WaysGraph } from './ways';
import { stockFor } from '../../rig/links/cables';
import { planOf, type Planned } from './plan';
import { times } from '../../runs-for-cases';

/** Two boxes of no height to speak of, at two heights, 4.20 m apart along a wall; one on a desk that travels. */
const workedE = (): Rig =>
  new RigDraft('Worked E')
    .do({ type: 'drawRoom', room: { corners: rectangle(8, 5), heightM: 2.6 } })
    .support('desk', 'Desk, 1.4 m', [1, 0, 0], {
      figures: { topM: 0.75, lowestM: 0.75, highestM: 1.25 },
    })
    .device('mic', 'mic-dynamic-stage', { name: 'Mic' })
    .device('interface', 'interface-2', { name: 'Interface' })
    .stand('mic', 'desk')
    .support('bracket', 'Wall bracket', [5.2, 0, 0], { figures: { heightM: 1.1 } })
    .stand('interface', 'bracket')
    .link('mic.out', 'interface.mic-1', 5)
    .build();

const planned = (rig: Rig): Planned => {
  const measured = measure(rig);
  const [linkId] = Object.keys(rig.links);
  const plan = planOf(measured, linkId ?? '');
  if (plan?.is !== 'planned') throw new Error('no way was found');
  return plan;
};

describe('the length of a cable by the plan', () => {
  it('is worked E: 6.05 m of way, 0.605 of slack, 0.50 of travel, 7.155 m, sold as 7.5', () => {
    const { route, slackM, travelM, needM, stockM } = planned(workedE());
    expect(route.legs.map(({ lengthM }) => Number(lengthM.toFixed(3)))).toEqual([0.75, 4.2, 1.1]);
    expect(route.lengthM).toBeCloseTo(6.05, 9);
    expect(slackM).toBeCloseTo(0.605, 9);
    expect(travelM).toBeCloseTo(0.5, 9);
    expect(needM).toBeCloseTo(7.155, 9);
    expect(stockM).toEqual([7.5]);
  });
  it('is sold in whole lengths, and joined beyond the longest', () => {
    expect(stockFor(0.6)).toEqual([1]);
    expect(stockFor(7.5)).toEqual([7.5]);
    expect(stockFor(7.51)).toEqual([10]);
    expect(stockFor(50)).toEqual([50]);
    expect(stockFor(50.01)).toEqual([50, 0.5]);
    expect(stockFor(113)).toEqual([50, 50, 15]);
  });
});

/** Every way without a point twice, by trying them all: far too slow for anything but a few pieces. */
const alongWays = ({ pieces }: WaysGraph, from: number, to: number): number => {
  let best = Infinity;
  const walk = (at: number, lengthM: number, seen: ReadonlySet<number>): void => {
    if (at === to) best = Math.min(best, lengthM);
    else
      for (const piece of pieces) {
        const next = piece.from === at ? piece.to : piece.to === at ? piece.from : null;
        if (next !== null && !seen.has(next))
          walk(next, lengthM + piece.lengthM, new Set([...seen, next]));
      }
  };
  walk(from, 0, new Set([from]));
  return best;
};

/** The least of every way from socket to socket: on to any piece, along, and off any other. */
const byTryingAll = (graph: WaysGraph, from: PlaceInRoom, to: PlaceInRoom): number => {
  const { points, pieces } = graph;
  const ons = (end: PlaceInRoom) =>
    pieces.flatMap((piece) => {
      const [a, b] = [points[piece.from], points[piece.to]];
      if (!a || !b || piece.fromShare === piece.toShare) return [];
      const at = nearestOn(a, b, end);
      return flat(end, at) > 1.5 ? [] : [{ piece, at, lengthM: hung(end, at) }];
    });
  let best = flat(from, to) <= 0.6 ? hung(from, to) : Infinity;
  for (const on of ons(from))
    for (const off of ons(to)) {
      if (on.piece === off.piece)
        best = Math.min(best, on.lengthM + apart(on.at, off.at) + off.lengthM);
      for (const a of [on.piece.from, on.piece.to])
        for (const b of [off.piece.from, off.piece.to]) {
          const [first, last] = [points[a], points[b]];
          if (!first || !last) continue;
          best = Math.min(
            best,
            on.lengthM +
              apart(on.at, first) +
              alongWays(graph, a, b) +
              apart(last, off.at) +
              off.lengthM,
          );
        }
    }
  return best;
};

describe('the shortest route', () => {
  it('is the one that trying every way finds, on 200 small plans', () => {
    let ledThrough = 0;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(anyPoint, anyPoint), { minLength: 2, maxLength: 4 }),
        anySocket,
        anySocket,
        (lines, from, to) => {
          const draft = lines.reduce(
            (rig, [a, b], index) =>
              apart(a, b) === 0
                ? rig
                : rig.do({ type: 'addCableWay', cableWayId: `way-${index}`, cableWay: way(a, b) }),
            new RigDraft('Case'),
          );
          const measured = measure(draft.build());
          const graph = waysGraph(measured);
          const route = routeBetween(graph, from, to, {
            openFloor: false,
            keepsOff: false,
            is: 'signal',
            acrossM: 0.6,
            grounds: tripGrounds(measured),
          });
          const wanted = byTryingAll(graph, from, to);
          if (route === null) expect(wanted).toBe(Infinity);
          else expect(route.lengthM).toBeCloseTo(wanted, 6);
          if (route && route.legs.length > 2) ledThrough += 1;
        },
      ),
      { numRuns: times(200) },
    );
    expect(ledThrough).toBeGreaterThan(40);
  });
  it('leads round a door only where it is told to, and says what it crosses', () => {
    const rig = new RigDraft('Door')
      .do({ type: 'drawRoom', room: { corners: rectangle(6, 4), heightM: 2.6 } })
      .do({
        type: 'addOpening',
        openingId: 'door',
        opening: {
          name: 'Door',
          what: 'door',
          wall: 0,
          alongM: 3,
          widthM: 0.9,
          bottomM: 0,
          heightM: 2,
          opens: 'in',
        },
      })
      .build();
    const measured = measure(rig);
    const options = {
      openFloor: false,
      keepsOff: false,
      is: 'signal',
      acrossM: 0.6,
      grounds: tripGrounds(measured),
    } as const;
    const [a, b] = [
      { xM: 1, yM: 0, zM: 0 },
      { xM: 5, yM: 0, zM: 0 },
    ];
    const short = routeBetween(waysGraph(measured), a, b, options);
    expect(short?.lengthM).toBeCloseTo(4, 9);
    expect(short?.trips.map(({ id }) => id)).toEqual(['door']);
    const round = routeBetween(waysGraph(measured), a, b, { ...options, keepsOff: true });
    // Back to the corner, round three walls: 1 + 4 + 6 + 4 + 1.
    expect(round?.lengthM).toBeCloseTo(16, 9);
    expect(round?.trips).toEqual([]);
  });
});
