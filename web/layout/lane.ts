import { ROW_HEIGHT } from './sizes';

/** Intervals taken in a column, so that nothing is drawn on top of anything. */
export class Lane {
  private readonly taken: { from: number; to: number }[] = [];
  isFree(from: number, to: number): boolean {
    return this.taken.every((interval) => to <= interval.from || from >= interval.to);
  }
  take(from: number, to: number): void {
    this.taken.push({ from, to });
  }
}

/** The free place nearest to the one wanted, on the rows' own pitch. */
export const nearestFree = (
  wanted: number,
  isFree: (y: number) => boolean,
  top: number,
): number => {
  if (isFree(wanted)) return wanted;
  for (let step = 1; step < 5000; step++) {
    const down = wanted + (step * ROW_HEIGHT) / 2;
    if (isFree(down)) return down;
    const up = wanted - (step * ROW_HEIGHT) / 2;
    if (up >= top && isFree(up)) return up;
  }
  return wanted;
};
