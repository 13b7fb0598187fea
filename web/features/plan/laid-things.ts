import { type Analysis, entry, inOrder, type Rig, type SimpleCommand } from '@echo-loom/core';
import { POINT, type Thing, tidy } from './thing';

/** Points of ways for cables, and outlets and strips, as things that can be moved on the plan. */

const idOf = (wayId: string, index: number): string => `${wayId} ${index}`;

/** The way a point belongs to, and its place in it. */
export const pointAt = (rig: Rig, id: string) => {
  const [wayId = '', number = ''] = id.split(' ');
  const index = Number(number);
  const way = entry(rig.cableWays, wayId);
  const point = way?.points[index];
  return way && point ? { wayId, way, index, point } : null;
};

export const laidThings = ({ rig }: Analysis): readonly Thing[] => [
  ...inOrder(rig.cableWays).flatMap(([wayId, { name, points }]) =>
    points.map(({ xM, yM }, index): Thing => ({
      ...POINT,
      key: `way:${idOf(wayId, index)}`,
      kind: 'way',
      id: idOf(wayId, index),
      name: `${name}, point ${index + 1}`,
      at: { xM, yM, facingDeg: 0 },
    })),
  ),
  ...inOrder(rig.feeds).flatMap(([id, { name, at }]): Thing[] =>
    at
      ? [{ ...POINT, key: `feed:${id}`, kind: 'feed', id, name, at: { ...at, facingDeg: 0 } }]
      : [],
  ),
];

/** A way with other points. */
export const withPoints = (
  wayId: string,
  points: Rig['cableWays'][string]['points'],
): SimpleCommand => ({ type: 'changeCableWay', cableWayId: wayId, cableWay: { points } });

/** The edit that puts a point of a way, or an outlet, somewhere else; its height stays. */
export const putLaid = (
  rig: Rig,
  { kind, id }: Thing,
  to: { readonly xM: number; readonly yM: number },
): SimpleCommand[] => {
  const at = { xM: tidy(to.xM), yM: tidy(to.yM) };
  if (kind === 'feed')
    return entry(rig.feeds, id) ? [{ type: 'changeFeed', feedId: id, feed: { at } }] : [];
  const found = pointAt(rig, id);
  return found
    ? [withPoints(found.wayId, found.way.points.with(found.index, { ...found.point, ...at }))]
    : [];
};
