import type { Point } from '@echo-loom/core';

/** How the plan lies on the drawing: where its corner is, and how large a metre. */
export interface Plane {
  /** Plan at the left edge and at the lower edge of the drawing. @unit m */
  readonly leftM: number;
  readonly bottomM: number;
  readonly pxPerM: number;
  readonly widthPx: number;
  readonly heightPx: number;
}

export const xOf = ({ leftM, pxPerM }: Plane, { xM }: Pick<Point, 'xM'>): number =>
  (xM - leftM) * pxPerM;
export const yOf = ({ bottomM, pxPerM, heightPx }: Plane, { yM }: Pick<Point, 'yM'>): number =>
  heightPx - (yM - bottomM) * pxPerM;

export const pointsText = (plane: Plane, points: readonly Point[]): string =>
  points
    .map((point) => `${xOf(plane, point).toFixed(1)},${yOf(plane, point).toFixed(1)}`)
    .join(' ');

/** Lays everything into the drawing, with a margin for the lengths of the walls. */
export const fitted = (
  points: readonly Point[],
  widthPx: number,
  heightPx: number,
  marginPx = 44,
): Plane => {
  const [xs, ys] = [points.map(({ xM }) => xM), points.map(({ yM }) => yM)];
  const [left, right] = [Math.min(0, ...xs), Math.max(1, ...xs)];
  const [bottom, top] = [Math.min(0, ...ys), Math.max(1, ...ys)];
  const tight = points.length > 2;
  const [leftM, bottomM] = tight ? [Math.min(...xs), Math.min(...ys)] : [left, bottom];
  const [acrossM, upM] = tight
    ? [Math.max(...xs) - leftM, Math.max(...ys) - bottomM]
    : [right - left, top - bottom];
  const pxPerM = Math.min(
    (widthPx - 2 * marginPx) / Math.max(0.5, acrossM),
    (heightPx - 2 * marginPx) / Math.max(0.5, upM),
  );
  return {
    leftM: leftM - (widthPx / pxPerM - acrossM) / 2,
    bottomM: bottomM - (heightPx / pxPerM - upM) / 2,
    pxPerM,
    widthPx,
    heightPx,
  };
};

/** Larger or smaller about a point of the drawing that stays where it is. */
export const zoomed = (plane: Plane, factor: number, atX: number, atY: number): Plane => {
  const pxPerM = Math.min(800, Math.max(4, plane.pxPerM * factor));
  const [xM, yM] = [
    plane.leftM + atX / plane.pxPerM,
    plane.bottomM + (plane.heightPx - atY) / plane.pxPerM,
  ];
  return {
    ...plane,
    pxPerM,
    leftM: xM - atX / pxPerM,
    bottomM: yM - (plane.heightPx - atY) / pxPerM,
  };
};

export const shifted = (plane: Plane, dx: number, dy: number): Plane => ({
  ...plane,
  leftM: plane.leftM - dx / plane.pxPerM,
  bottomM: plane.bottomM + dy / plane.pxPerM,
});

const FEET_A_METRE = 1 / 0.3048;

export type Units = 'm' | 'ft';

/** A length as it is read: metres to the centimetre, feet and inches to the half inch. */
export const lengthText = (metres: number, units: Units): string => {
  if (units === 'm') return `${metres.toFixed(2)} m`;
  const inches = Math.round(Math.abs(metres) * FEET_A_METRE * 12 * 2) / 2;
  const feet = Math.floor(inches / 12);
  return `${metres < 0 ? '−' : ''}${feet}′ ${(inches - 12 * feet).toFixed(1).replace('.0', '')}″`;
};
