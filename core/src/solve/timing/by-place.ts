import type { Measured } from '../../passes/measured';
import { meetings } from '../../passes/time';
import { solveTiming, type TimingSolution } from '.';

/** What a place could be, were delays set for it alone: where one delay cannot serve two, where to record. */
export interface PlaceTiming {
  readonly placeId: string;
  /** Largest offset there, either way: now, with all places set at once, and set for this one alone. @unit ms */
  readonly nowMs: number;
  readonly togetherMs: number;
  readonly aloneMs: number;
}

const largest = (values: readonly number[]): number =>
  values.reduce((most, ms) => Math.max(most, Math.abs(ms)), 0);

/** Every place that can be reckoned, in the order of the rig. @param together the solution for all at once */
export const timingByPlace = (
  measured: Measured,
  together: TimingSolution,
): readonly PlaceTiming[] =>
  meetings(measured).flatMap(({ placeId }) => {
    const there = together.pairs.filter(({ pair }) => pair.placeId === placeId);
    const alone = there.length > 0 ? solveTiming(measured, new Set([placeId])) : null;
    return alone
      ? [
          {
            placeId,
            nowMs: largest(there.map(({ beforeMs }) => beforeMs)),
            togetherMs: largest(there.map(({ afterMs }) => afterMs)),
            aloneMs: alone.worstMs,
          },
        ]
      : [];
  });

/** A place gives up so much for the others before it is said. @unit ms */
const GIVES_UP_MS = 1;

/** Places that would be better off alone: one delay serves them and others. */
export const giveWay = (places: readonly PlaceTiming[]): readonly PlaceTiming[] =>
  places.filter(({ togetherMs, aloneMs }) => togetherMs - aloneMs > GIVES_UP_MS);

/** Where sound and picture lie closest once all is set; null where it is the same everywhere. */
export const bestPlace = (places: readonly PlaceTiming[]): PlaceTiming | null => {
  const sorted = [...places].sort((a, b) => a.togetherMs - b.togetherMs);
  const [best, last] = [sorted[0], sorted.at(-1)];
  return best && last && last.togetherMs - best.togetherMs > GIVES_UP_MS ? best : null;
};
