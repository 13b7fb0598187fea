import { type CableWay, type CableWayKind, inOrder, wallsOf } from '../../rig';
import { pass } from '../pass';
import type { InRoom } from '../place';
import { type TripGround, tripGrounds, within } from './trips';

/** The ways of a room as a graph: points, and straight pieces between them. Lengths in metres. */

/** A straight part of a way, as it was drawn. */
export interface Segment {
  /** null: the foot of a wall */
  readonly wayId: string | null;
  readonly name: string;
  readonly is: CableWayKind;
  readonly carries: CableWay['carries'];
  readonly a: InRoom;
  readonly b: InRoom;
  readonly lengthM: number;
}

/** A straight piece between two neighbouring points of the graph. */
export interface Piece {
  readonly segment: Segment;
  /** Numbers of its points */
  readonly from: number;
  readonly to: number;
  /** Where they lie along the segment, as shares of it */
  readonly fromShare: number;
  readonly toShare: number;
  readonly lengthM: number;
  /** What people walk on that it lies on, bare */
  readonly trips: readonly TripGround[];
}

export interface WaysGraph {
  readonly points: readonly InRoom[];
  readonly pieces: readonly Piece[];
}

/** Ways that come as near as this to each other are joined. @unit m */
export const JOIN_M = 0.1;

/** What lies lower than this lies on the floor. @unit m */
const FLOOR_M = 0.05;

/** Kinds that lie bare where people walk. */
const BARE: ReadonlySet<CableWayKind> = new Set(['floor edge', 'floor']);

export const distance = (a: InRoom, b: InRoom): number =>
  Math.hypot(b.xM - a.xM, b.yM - a.yM, b.zM - a.zM);

export const between = (a: InRoom, b: InRoom, share: number): InRoom => ({
  xM: a.xM + share * (b.xM - a.xM),
  yM: a.yM + share * (b.yM - a.yM),
  zM: a.zM + share * (b.zM - a.zM),
});

/** Where a line comes nearest to a point, as a share of it. */
export const nearestShare = (point: InRoom, a: InRoom, b: InRoom): number => {
  const [dx, dy, dz] = [b.xM - a.xM, b.yM - a.yM, b.zM - a.zM];
  const squared = dx * dx + dy * dy + dz * dz;
  if (squared === 0) return 0;
  const along = (point.xM - a.xM) * dx + (point.yM - a.yM) * dy + (point.zM - a.zM) * dz;
  return Math.min(1, Math.max(0, along / squared));
};

const straight = (of: Omit<Segment, 'a' | 'b' | 'lengthM'>, points: readonly InRoom[]): Segment[] =>
  points.slice(1).flatMap((b, index) => {
    const a = points[index];
    const lengthM = a ? distance(a, b) : 0;
    return a && lengthM > 0 ? [{ ...of, a, b, lengthM }] : [];
  });

/** Every straight part of every way: the feet of the walls, where cables lie there, and what is drawn. */
export const segments = pass('segments of ways', ({ rig }): readonly Segment[] => {
  const onFloor = ({ xM, yM }: { xM: number; yM: number }): InRoom => ({ xM, yM, zM: 0 });
  const walls = rig.laying.alongWalls ? wallsOf(rig.shell?.corners ?? []) : [];
  return [
    ...walls.flatMap(([a, b], index) =>
      straight(
        { wayId: null, name: `Foot of wall ${index + 1}`, is: 'floor edge', carries: 'both' },
        [onFloor(a), onFloor(b)],
      ),
    ),
    ...inOrder(rig.cableWays).flatMap(([wayId, { name, is, carries, points }]) =>
      straight({ wayId, name, is, carries }, points),
    ),
  ];
});

/** Shares of two lines at which they come nearest to each other: exact for lines in space. */
const nearest = (one: Segment, other: Segment): readonly [number, number] => {
  const clamp = (share: number): number => Math.min(1, Math.max(0, share));
  const u = [one.b.xM - one.a.xM, one.b.yM - one.a.yM, one.b.zM - one.a.zM] as const;
  const v = [other.b.xM - other.a.xM, other.b.yM - other.a.yM, other.b.zM - other.a.zM] as const;
  const w = [one.a.xM - other.a.xM, one.a.yM - other.a.yM, one.a.zM - other.a.zM] as const;
  const dot = (p: readonly [number, number, number], q: readonly [number, number, number]) =>
    p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
  const [a, b, c, d, e] = [dot(u, u), dot(u, v), dot(v, v), dot(u, w), dot(v, w)];
  const skew = a * c - b * b;
  const candidates: (readonly [number, number])[] = [
    ...([0, 1] as const).map(
      (s) => [s, nearestShare(s === 0 ? one.a : one.b, other.a, other.b)] as const,
    ),
    ...([0, 1] as const).map(
      (t) => [nearestShare(t === 0 ? other.a : other.b, one.a, one.b), t] as const,
    ),
    ...(skew > 1e-12
      ? [[clamp((b * e - c * d) / skew), clamp((a * e - b * d) / skew)] as const]
      : []),
  ];
  const far = ([s, t]: readonly [number, number]): number =>
    distance(between(one.a, one.b, s), between(other.a, other.b, t));
  return candidates.reduce((best, now) => (far(now) < far(best) - 1e-12 ? now : best));
};

const isOnFloor = ({ is, a, b }: Segment): boolean =>
  BARE.has(is) && a.zM <= FLOOR_M && b.zM <= FLOOR_M;

/** Grounds that a bare line on the floor meets, with the shares of it that lie there. */
export const tripsAlong = (
  grounds: readonly TripGround[],
  a: InRoom,
  b: InRoom,
): readonly { readonly ground: TripGround; readonly shares: readonly [number, number] }[] =>
  grounds.flatMap((ground) => {
    const shares = within(a, b, ground.ground);
    return shares ? [{ ground, shares }] : [];
  });

/** Shares nearer than this are one point. */
const SAME = 1e-9;

/** The graph that cables are led on. */
export const waysGraph = pass('graph of ways', (measured): WaysGraph => {
  const all = segments(measured);
  const grounds = tripGrounds(measured);
  const points: InRoom[] = [];
  const numbers = new Map<string, number>();
  const numberOf = (point: InRoom): number => {
    // A point is one where it is the same to a hundredth of a millimetre.
    const key = [point.xM, point.yM, point.zM].map((value) => Math.round(value * 1e5)).join(' ');
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, points.length);
    points.push(point);
    return points.length - 1;
  };
  const cuts = all.map(() => new Set<number>([0, 1]));
  const joins: { readonly a: InRoom; readonly b: InRoom; readonly of: Segment }[] = [];
  for (const [i, one] of all.entries())
    for (const [j, other] of all.entries()) {
      if (j <= i) continue;
      const [s, t] = nearest(one, other);
      const [p, q] = [between(one.a, one.b, s), between(other.a, other.b, t)];
      const gap = distance(p, q);
      if (gap > JOIN_M) continue;
      cuts[i]?.add(s);
      cuts[j]?.add(t);
      if (gap > 0) joins.push({ a: p, b: q, of: other });
      // Two that lie on each other part where the shorter one ends.
      for (const [end, of, into] of [
        [one.a, other, j],
        [one.b, other, j],
        [other.a, one, i],
        [other.b, one, i],
      ] as const) {
        const share = nearestShare(end, of.a, of.b);
        if (distance(end, between(of.a, of.b, share)) <= JOIN_M) {
          cuts[into]?.add(share);
          const at = between(of.a, of.b, share);
          if (distance(end, at) > 0) joins.push({ a: end, b: at, of });
        }
      }
    }
  const pieces: Piece[] = [];
  for (const [index, segment] of all.entries()) {
    const shares = cuts[index] ?? new Set<number>();
    const trips = isOnFloor(segment) ? tripsAlong(grounds, segment.a, segment.b) : [];
    for (const { shares: ends } of trips) for (const share of ends) shares.add(share);
    const sorted = [...shares].sort((a, b) => a - b);
    for (const [at, toShare] of sorted.entries()) {
      const fromShare = sorted[at - 1];
      if (fromShare === undefined || toShare - fromShare < SAME) continue;
      const middle = (fromShare + toShare) / 2;
      pieces.push({
        segment,
        from: numberOf(between(segment.a, segment.b, fromShare)),
        to: numberOf(between(segment.a, segment.b, toShare)),
        fromShare,
        toShare,
        lengthM: segment.lengthM * (toShare - fromShare),
        trips: trips
          .filter(({ shares: [first, last] }) => first < middle && middle < last)
          .map(({ ground }) => ground),
      });
    }
  }
  for (const { a, b, of } of joins)
    pieces.push({
      segment: of,
      from: numberOf(a),
      to: numberOf(b),
      fromShare: 0,
      toShare: 0,
      lengthM: distance(a, b),
      trips: [],
    });
  return { points, pieces };
});

/** The ways as they are drawn on the plan: one line each, in their order. */
export const cableWaysOf = pass(
  'ways as drawn',
  (measured): readonly { readonly key: string; readonly points: readonly InRoom[] }[] =>
    segments(measured).map(({ a, b, wayId }, index) => ({
      key: `${wayId ?? 'wall'} ${index}`,
      points: [a, b],
    })),
);
