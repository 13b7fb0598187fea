import type { PlaceInRoom } from '@echo-loom/core';

/** Points as text: `0, 1, 0; 2, 1, 0`, across, up the plan, above the floor, m. */
export const pointsText = (points: readonly PlaceInRoom[]): string =>
  points
    .map(({ xM, yM, zM }) => [xM, yM, zM].map((value) => Number(value.toFixed(3))).join(', '))
    .join('; ')
    .replaceAll('-', '−');

type Read = { readonly points: PlaceInRoom[] } | { readonly problem: string };

const MOST_M = 1000;
const MOST_POINTS = 64;

/** Reads points that were typed; the height may be left out, then it is on the floor. */
export const readPoints = (text: string): Read => {
  const parts = text
    .replaceAll('−', '-')
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '');
  if (parts.length < 2) return { problem: 'A way has at least two points, parted by ;' };
  if (parts.length > MOST_POINTS) return { problem: `At most ${MOST_POINTS} points.` };
  const points: PlaceInRoom[] = [];
  for (const [index, part] of parts.entries()) {
    const numbers = part
      .split(/[\s,]+/)
      .filter((number) => number !== '')
      .map((number) => (/^[+-]?(\d+\.?\d*|\.\d+)$/.test(number) ? Number(number) : NaN));
    const [xM, yM, zM = 0] = numbers;
    if (numbers.length < 2 || numbers.length > 3 || numbers.some(Number.isNaN))
      return { problem: `Point ${index + 1}, “${part}”, is not two or three numbers.` };
    if (xM === undefined || yM === undefined || [xM, yM].some((at) => Math.abs(at) > MOST_M))
      return { problem: `Point ${index + 1} lies more than ${MOST_M} m away.` };
    if (zM < 0 || zM > 100)
      return { problem: `Point ${index + 1} must be 0 to 100 m above the floor.` };
    points.push({ xM, yM, zM });
  }
  return { points };
};
