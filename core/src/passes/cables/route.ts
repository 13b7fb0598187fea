import type { Point } from '../../rig';
import type { InRoom } from '../place';
import type { TripGround } from './trips';
import {
  between,
  nearestShare,
  type Piece,
  type Segment,
  tripsAlong,
  type WaysGraph,
} from './ways';

/** The shortest way of a cable on the graph of ways, from socket to socket. Lengths in metres. */

/** One straight part of a route. */
export interface Leg {
  readonly what: 'down to the way' | 'along' | 'up from the way' | 'across';
  /** The way it lies in; null where it lies in none */
  readonly segment: Segment | null;
  readonly from: InRoom;
  readonly to: InRoom;
  /** A cable hangs straight down and then goes across: the sum of both */
  readonly lengthM: number;
  readonly trips: readonly TripGround[];
}

export interface Route {
  readonly legs: readonly Leg[];
  readonly lengthM: number;
  readonly trips: readonly TripGround[];
}

export interface RouteOptions {
  /** Straight over open floor, however far */
  readonly openFloor: boolean;
  /** Never bare where people walk */
  readonly keepsOff: boolean;
  readonly is: 'signal' | 'mains';
  /** So far it goes straight through the air. @unit m */
  readonly acrossM: number;
  readonly grounds: readonly TripGround[];
}

/** So far a cable may hang from a way to its socket, seen from above, where open floor is not allowed. @unit m */
export const LEG_MOST_M = 1.5;

/** So near to each other two things are joined straight through the air. @unit m */
export const ACROSS_MOST_M = 0.6;

/** From here up nobody trips over it. @unit m */
const OVER_HEADS_M = 2.1;

/** Of two ways of one length the one with less on bare floor is taken. */
const TRIP_WEIGHT = 1e-6;

const flat = (a: Point, b: Point): number => Math.hypot(b.xM - a.xM, b.yM - a.yM);

/** How long a cable is that hangs down or up, and goes straight across. */
const hung = (a: InRoom, b: InRoom): number => flat(a, b) + Math.abs(b.zM - a.zM);

const tripsOf = (grounds: readonly TripGround[], a: InRoom, b: InRoom): readonly TripGround[] =>
  Math.min(a.zM, b.zM) >= OVER_HEADS_M || flat(a, b) === 0
    ? []
    : tripsAlong(grounds, a, b).map(({ ground }) => ground);

/** Where a cable comes onto a piece of a way. */
export interface Start {
  readonly piece: Piece;
  readonly at: InRoom;
  /** Where on the segment of the piece */
  readonly share: number;
  readonly lengthM: number;
  readonly trips: readonly TripGround[];
}

export const isOpen = ({ segment }: Piece, is: RouteOptions['is']): boolean =>
  segment.carries === 'both' || segment.carries === is;

export const startsOf = (
  { pieces }: WaysGraph,
  end: InRoom,
  { openFloor, keepsOff, is, grounds }: RouteOptions,
): Start[] =>
  pieces.flatMap((piece) => {
    if (!isOpen(piece, is) || (keepsOff && piece.trips.length > 0)) return [];
    if (piece.fromShare === piece.toShare) return [];
    const { a, b } = piece.segment;
    const share = Math.min(piece.toShare, Math.max(piece.fromShare, nearestShare(end, a, b)));
    const at = between(a, b, share);
    if (!openFloor && flat(end, at) > LEG_MOST_M) return [];
    const trips = tripsOf(grounds, end, at);
    return keepsOff && trips.length > 0
      ? []
      : [{ piece, at, share, lengthM: hung(end, at), trips }];
  });

interface Edge {
  readonly to: number;
  readonly piece: Piece;
  readonly cost: number;
}

const neighboursOf = (
  { points, pieces }: WaysGraph,
  { is, keepsOff }: RouteOptions,
): readonly (readonly Edge[])[] => {
  const edges: Edge[][] = points.map(() => []);
  for (const piece of pieces) {
    if (!isOpen(piece, is) || (keepsOff && piece.trips.length > 0)) continue;
    const cost = piece.lengthM * (piece.trips.length > 0 ? 1 + TRIP_WEIGHT : 1);
    edges[piece.from]?.push({ to: piece.to, piece, cost });
    edges[piece.to]?.push({ to: piece.from, piece, cost });
  }
  return edges;
};

export const costOf = (lengthM: number, trips: readonly TripGround[]): number =>
  lengthM * (trips.length > 0 ? 1 + TRIP_WEIGHT : 1);

export const joined = (legs: readonly Leg[]): Route => {
  const kept = legs.filter(({ lengthM }) => lengthM > 0);
  return {
    legs: kept,
    lengthM: kept.reduce((sum, { lengthM }) => sum + lengthM, 0),
    trips: [...new Set(kept.flatMap(({ trips }) => trips))],
  };
};

/** Straight from one socket to the other: within reach, or down to open floor and up again. */
const across = (from: InRoom, to: InRoom, options: RouteOptions): Route | null => {
  const isNear = flat(from, to) <= options.acrossM;
  if (!isNear && !options.openFloor) return null;
  const lengthM = isNear ? hung(from, to) : from.zM + flat(from, to) + to.zM;
  const trips = tripsOf(options.grounds, from, to);
  return options.keepsOff && trips.length > 0
    ? null
    : joined([{ what: 'across', segment: null, from, to, lengthM, trips }]);
};

export const downFrom =
  (from: InRoom) =>
  ({ at, lengthM, trips }: Start): Leg => ({
    what: 'down to the way',
    segment: null,
    from,
    to: at,
    lengthM,
    trips,
  });

export const upTo =
  (to: InRoom) =>
  ({ at, lengthM, trips }: Start): Leg => ({
    what: 'up from the way',
    segment: null,
    from: at,
    to,
    lengthM,
    trips,
  });

export const legAlong = (piece: Piece, from: InRoom, to: InRoom, lengthM: number): Leg => ({
  what: 'along',
  segment: piece.segment,
  from,
  to,
  lengthM,
  trips: piece.trips,
});

/** How far it is along a piece, from a share of its segment to another. */
export const alongPiece = ({ piece }: Start, a: number, b: number): number =>
  piece.segment.lengthM * Math.abs(b - a);

/**
 * The shortest route between two sockets, exact on the graph (Dijkstra). Of two of one length the one
 * with less bare on what people walk on.
 * @returns null where no way leads there
 */
export const routeBetween = (
  graph: WaysGraph,
  from: InRoom,
  to: InRoom,
  options: RouteOptions,
): Route | null => {
  const direct = across(from, to, options);
  const starts = startsOf(graph, from, options);
  const ends = startsOf(graph, to, options);
  let best = direct ? costOf(direct.lengthM, direct.trips) : Infinity;
  let route = direct;
  const [down, up] = [downFrom(from), upTo(to)];

  // Both on one piece: no point of the graph lies between.
  for (const start of starts)
    for (const end of ends) {
      if (start.piece !== end.piece) continue;
      const along = alongPiece(start, start.share, end.share);
      const cost =
        costOf(start.lengthM, start.trips) +
        costOf(along, start.piece.trips) +
        costOf(end.lengthM, end.trips);
      if (cost >= best) continue;
      best = cost;
      route = joined([down(start), legAlong(start.piece, start.at, end.at, along), up(end)]);
    }

  const edges = neighboursOf(graph, options);
  const costs = graph.points.map(() => Infinity);
  const came: (
    { readonly from: number; readonly edge: Edge } | { readonly start: Start } | null
  )[] = graph.points.map(() => null);
  const begin = (start: Start, point: number, share: number): void => {
    const cost =
      costOf(start.lengthM, start.trips) +
      costOf(alongPiece(start, start.share, share), start.piece.trips);
    if (cost >= (costs[point] ?? 0)) return;
    costs[point] = cost;
    came[point] = { start };
  };
  for (const start of starts) {
    begin(start, start.piece.from, start.piece.fromShare);
    begin(start, start.piece.to, start.piece.toShare);
  }
  const done = graph.points.map(() => false);
  for (;;) {
    let now = -1;
    for (const [point, cost] of costs.entries())
      if (!done[point] && cost < best && (now < 0 || cost < (costs[now] ?? Infinity))) now = point;
    if (now < 0) break;
    done[now] = true;
    const cost = costs[now] ?? Infinity;
    for (const edge of edges[now] ?? []) {
      if (cost + edge.cost >= (costs[edge.to] ?? 0)) continue;
      costs[edge.to] = cost + edge.cost;
      came[edge.to] = { from: now, edge };
    }
  }
  const legsTo = (point: number): Leg[] => {
    const legs: Leg[] = [];
    for (let at = point; ;) {
      const step = came[at];
      const here = graph.points[at];
      if (!step || !here) return legs;
      if ('start' in step) {
        const { start } = step;
        const share = start.piece.from === at ? start.piece.fromShare : start.piece.toShare;
        return [
          down(start),
          legAlong(start.piece, start.at, here, alongPiece(start, start.share, share)),
          ...legs,
        ];
      }
      const before = graph.points[step.from];
      if (!before) return legs;
      legs.unshift(legAlong(step.edge.piece, before, here, step.edge.piece.lengthM));
      at = step.from;
    }
  };
  for (const end of ends)
    for (const [point, share] of [
      [end.piece.from, end.piece.fromShare],
      [end.piece.to, end.piece.toShare],
    ] as const) {
      const along = alongPiece(end, share, end.share);
      const here = graph.points[point];
      const cost =
        (costs[point] ?? Infinity) +
        costOf(along, end.piece.trips) +
        costOf(end.lengthM, end.trips);
      if (!here || cost >= best) continue;
      best = cost;
      route = joined([...legsTo(point), legAlong(end.piece, here, end.at, along), up(end)]);
    }
  return route;
};
