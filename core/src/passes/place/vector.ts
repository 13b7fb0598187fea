import type { InRoom } from './geometry';

/** Directions in the room: along x, along y, upwards. */
export type Vector = readonly [number, number, number];

export const UP: Vector = [0, 0, 1];
/** Up the plan. */
export const UP_THE_PLAN: Vector = [0, 1, 0];

export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** The same direction, of length 1; nothing stays nothing. */
export const unit = (a: Vector): Vector => {
  const length = Math.hypot(a[0], a[1], a[2]);
  return length === 0 ? a : [a[0] / length, a[1] / length, a[2] / length];
};

export const times = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];

export const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

export const fromTo = (from: InRoom, to: InRoom): Vector => [
  to.xM - from.xM,
  to.yM - from.yM,
  to.zM - from.zM,
];

/** A point some way off in a direction. @param metres how often the direction's own length */
export const along = (from: InRoom, towards: Vector, metres: number): InRoom => ({
  xM: from.xM + metres * towards[0],
  yM: from.yM + metres * towards[1],
  zM: from.zM + metres * towards[2],
});

const RADIANS = Math.PI / 180;

/** The way something looks that faces so on the plan and is tipped so far down. @unit degrees */
export const looking = (facingDeg: number, downDeg = 0): Vector => [
  Math.sin(facingDeg * RADIANS) * Math.cos(downDeg * RADIANS),
  Math.cos(facingDeg * RADIANS) * Math.cos(downDeg * RADIANS),
  -Math.sin(downDeg * RADIANS),
];

/** Between two directions, of any length. @unit degrees; 0 where either is nothing */
export const angleBetween = (a: Vector, b: Vector): number => {
  const lengths = Math.hypot(a[0], a[1], a[2]) * Math.hypot(b[0], b[1], b[2]);
  return lengths === 0 ? 0 : Math.acos(Math.min(1, Math.max(-1, dot(a, b) / lengths))) / RADIANS;
};

/** To the right of something that looks a way, level. */
export const rightOf = (axis: Vector): Vector =>
  unit(cross(axis, Math.hypot(axis[0], axis[1]) < 1e-6 ? UP_THE_PLAN : UP));
