import fc from 'fast-check';
import { RigDraft } from '../../catalogue/draft';
import type { PlaceInRoom } from '../../rig';
import { measure } from '../measure';
import { routeBetween } from './route';
import { routeBy } from './route-by';
import { anyPoint, anySocket, apart, flat, hung, nearestOn, way } from './routes-for-cases';
import { tripGrounds } from './trips';
import { waysGraph, type WaysGraph } from './ways';
import { times } from '../../runs-for-cases';

/** The least of every walk that lies in a way and turns back nowhere, by trying them all. */
const throughTryingAll = (
  graph: WaysGraph,
  from: PlaceInRoom,
  to: PlaceInRoom,
  wayId: string,
): number => {
  const { points, pieces } = graph;
  type Piece = (typeof pieces)[number];
  const ons = (end: PlaceInRoom) =>
    pieces.flatMap((piece) => {
      const [a, b] = [points[piece.from], points[piece.to]];
      if (!a || !b || piece.fromShare === piece.toShare) return [];
      const at = nearestOn(a, b, end);
      return flat(end, at) > 1.5 ? [] : [{ piece, at, lengthM: hung(end, at) }];
    });
  const offs = ons(to);
  const lies = (piece: Piece, lengthM: number): boolean =>
    piece.segment.wayId === wayId && piece.fromShare !== piece.toShare && lengthM > 1e-6;
  let best = Infinity;
  const walk = (at: number, last: Piece, lengthM: number, was: boolean, left: number): void => {
    const here = points[at];
    if (!here || lengthM >= best || left === 0) return;
    for (const off of offs) {
      if (off.piece === last || (off.piece.from !== at && off.piece.to !== at)) continue;
      const along = apart(here, off.at);
      if (was || lies(off.piece, along)) best = Math.min(best, lengthM + along + off.lengthM);
    }
    for (const piece of pieces) {
      if (piece === last) continue;
      const next = piece.from === at ? piece.to : piece.to === at ? piece.from : null;
      if (next !== null)
        walk(next, piece, lengthM + piece.lengthM, was || lies(piece, piece.lengthM), left - 1);
    }
  };
  for (const on of ons(from)) {
    for (const off of offs) {
      const along = apart(on.at, off.at);
      if (on.piece === off.piece && lies(on.piece, along))
        best = Math.min(best, on.lengthM + along + off.lengthM);
    }
    for (const point of [on.piece.from, on.piece.to]) {
      const end = points[point];
      const along = end ? apart(on.at, end) : Infinity;
      walk(point, on.piece, on.lengthM + along, lies(on.piece, along), 12);
    }
  }
  return best;
};

describe('a route that is told where to lie', () => {
  it('is the one that trying every way through a way it is told to lie in finds, on 100 small plans', () => {
    let [ledFarther, nowhere] = [0, 0];
    fc.assert(
      fc.property(
        fc.array(fc.tuple(anyPoint, anyPoint), { minLength: 4, maxLength: 5 }),
        anySocket,
        anySocket,
        fc.integer({ min: 0, max: 3 }),
        (lines, from, to, told) => {
          const draft = lines.reduce(
            (rig, [a, b], index) =>
              apart(a, b) === 0
                ? rig
                : rig.do({ type: 'addCableWay', cableWayId: `way-${index}`, cableWay: way(a, b) }),
            new RigDraft('Case'),
          );
          const measured = measure(draft.build());
          const graph = waysGraph(measured);
          const options = {
            openFloor: false,
            keepsOff: false,
            is: 'signal',
            acrossM: 0.6,
            grounds: tripGrounds(measured),
          } as const;
          const wayId = `way-${told}`;
          const route = routeBy(graph, from, to, options, [wayId]);
          const wanted = throughTryingAll(graph, from, to, wayId);
          if (route === null) {
            expect(wanted).toBe(Infinity);
            nowhere += 1;
            return;
          }
          expect(route.lengthM).toBeCloseTo(wanted, 6);
          expect(route.legs.some(({ segment }) => segment?.wayId === wayId)).toBe(true);
          const free = routeBetween(graph, from, to, options);
          expect(free?.lengthM ?? Infinity).toBeLessThanOrEqual(route.lengthM + 1e-9);
          if ((free?.lengthM ?? 0) < route.lengthM - 1e-6) ledFarther += 1;
        },
      ),
      { numRuns: times(100) },
    );
    expect(ledFarther).toBeGreaterThan(0);
    expect(nowhere).toBeLessThan(100);
  });
  it('lies in the ways it is told to, in their order, and says so in the length', () => {
    const point = (xM: number, yM: number): PlaceInRoom => ({ xM, yM, zM: 0 });
    const rig = new RigDraft('By hand')
      .do({ type: 'setLaying', laying: { alongWalls: false } })
      .do({
        type: 'addCableWay',
        cableWayId: 'straight',
        cableWay: way(point(0, 0), point(6, 0)),
      })
      .do({
        type: 'addCableWay',
        cableWayId: 'round',
        cableWay: way(point(0, 0), point(0, 0.5), point(6, 0.5), point(6, 0)),
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
    const led = (...by: string[]) =>
      routeBy(waysGraph(measured), point(0, 0), point(6, 0), options, by)?.lengthM;
    expect(led('straight')).toBeCloseTo(6, 9);
    // 0.5 + 6 + 0.5: not a little way in and back.
    expect(led('round')).toBeCloseTo(7, 9);
    // Hung onto the middle of the round one, down its end, along, up its other end, and hung off again.
    expect(led('round', 'straight', 'round')).toBeCloseTo(0.5 + 0.5 + 6 + 0.5 + 0.5, 9);
    expect(led('nowhere')).toBeUndefined();
  });
});
