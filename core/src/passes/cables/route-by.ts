import type { InRoom } from '../place';
import {
  alongPiece,
  costOf,
  downFrom,
  isOpen,
  joined,
  type Leg,
  legAlong,
  type Route,
  type RouteOptions,
  type Start,
  startsOf,
  upTo,
} from './route';
import type { Piece, WaysGraph } from './ways';

/** The shortest way of a cable that is told where to lie. Lengths in metres. */

/** A cable that lies in a way for less than this does not lie in it. @unit m */
const LIES_M = 1e-6;

/** A piece that was gone through to a point, and how many of the ways it was told are behind it then. */
interface Step {
  readonly piece: Piece;
  readonly point: number;
  readonly behind: number;
  readonly cost: number;
  readonly leg: Leg;
  /** What came before: another step, or where it came onto the way */
  readonly before: Step | Start;
}

const isStep = (before: Step | Start): before is Step => 'behind' in before;

/** Two dead points joined through the air are no part of a way. */
const isWay = ({ fromShare, toShare }: Piece): boolean => fromShare !== toShare;

/**
 * The shortest route that lies in the ways it is told to, one after the other, and turns back nowhere:
 * exact on the graph (Dijkstra, over pieces gone through).
 * @param by ids of ways, at least one
 * @returns null where no such route leads there
 */
export const routeBy = (
  graph: WaysGraph,
  from: InRoom,
  to: InRoom,
  options: RouteOptions,
  by: readonly string[],
): Route | null => {
  const { is, keepsOff } = options;
  const after = (behind: number, piece: Piece, lengthM: number): number =>
    lengthM > LIES_M && isWay(piece) && piece.segment.wayId === by[behind] ? behind + 1 : behind;
  const [down, up] = [downFrom(from), upTo(to)];
  const [starts, ends] = [startsOf(graph, from, options), startsOf(graph, to, options)];
  let best = Infinity;
  let route: Route | null = null;
  const legsTo = (last: Step | Start): Leg[] => {
    const legs: Leg[] = [];
    let at = last;
    for (; isStep(at); at = at.before) legs.unshift(at.leg);
    return [down(at), ...legs];
  };
  const finish = (cost: number, legs: () => readonly Leg[]): void => {
    if (cost >= best) return;
    best = cost;
    route = joined(legs());
  };

  for (const start of starts)
    for (const end of ends) {
      if (start.piece !== end.piece) continue;
      const along = alongPiece(start, start.share, end.share);
      if (after(0, start.piece, along) < by.length) continue;
      finish(
        costOf(start.lengthM, start.trips) +
          costOf(along, start.piece.trips) +
          costOf(end.lengthM, end.trips),
        () => [down(start), legAlong(start.piece, start.at, end.at, along), up(end)],
      );
    }

  const pieces = graph.pieces.filter(
    (piece) => isOpen(piece, is) && !(keepsOff && piece.trips.length > 0),
  );
  const open: Step[] = [];
  const add = (
    before: Step | Start,
    piece: Piece,
    point: number,
    at: InRoom,
    lengthM: number,
    cost: number,
  ): void => {
    const there = graph.points[point];
    if (!there) return;
    open.push({
      piece,
      point,
      behind: after(isStep(before) ? before.behind : 0, piece, lengthM),
      cost: cost + costOf(lengthM, piece.trips),
      leg: legAlong(piece, at, there, lengthM),
      before,
    });
  };
  for (const start of starts)
    for (const [point, share] of [
      [start.piece.from, start.piece.fromShare],
      [start.piece.to, start.piece.toShare],
    ] as const)
      add(
        start,
        start.piece,
        point,
        start.at,
        alongPiece(start, start.share, share),
        costOf(start.lengthM, start.trips),
      );

  const done = new Set<string>();
  const numbers = new Map(graph.pieces.map((piece, number) => [piece, number]));
  for (;;) {
    let nearest = -1;
    for (const [index, { cost }] of open.entries())
      if (cost < best && (nearest < 0 || cost < (open[nearest]?.cost ?? Infinity))) nearest = index;
    const [step] = nearest < 0 ? [] : open.splice(nearest, 1);
    if (!step) return route;
    const { piece, point, behind, cost } = step;
    const key = `${numbers.get(piece)} ${point} ${behind}`;
    if (done.has(key)) continue;
    done.add(key);
    const here = graph.points[point];
    if (!here) continue;
    for (const end of ends) {
      if (end.piece === piece) continue;
      const share =
        end.piece.from === point
          ? end.piece.fromShare
          : end.piece.to === point
            ? end.piece.toShare
            : null;
      if (share === null) continue;
      const along = alongPiece(end, share, end.share);
      if (after(behind, end.piece, along) < by.length) continue;
      finish(cost + costOf(along, end.piece.trips) + costOf(end.lengthM, end.trips), () => [
        ...legsTo(step),
        legAlong(end.piece, here, end.at, along),
        up(end),
      ]);
    }
    for (const next of pieces) {
      if (next === piece) continue;
      if (next.from === point) add(step, next, next.to, here, next.lengthM, cost);
      else if (next.to === point) add(step, next, next.from, here, next.lengthM, cost);
    }
  }
};
