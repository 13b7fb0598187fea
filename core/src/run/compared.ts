import { type Spread, spreadOf } from '../day/spread';
import type { RunPlan } from './schema';

/** Runs beside one another: how long setting up took, how long each segment, and how much that varies. */

/** What a run came to, as far as runs are compared. */
export interface RunToCompare {
  readonly plan: Pick<RunPlan, 'segments' | 'lengthMin' | 'clock'>;
  readonly firstTickMs: number | null;
  readonly liveMs: number | null;
  readonly endedMs: number | null;
  readonly segments: readonly { readonly segmentId: string; readonly lastedS: number | null }[];
}

export interface SegmentTook {
  readonly segmentId: string;
  readonly title: string;
  /** As the rundown has it now. @unit s */
  readonly plannedS: number;
  /** @unit s */
  readonly took: Spread;
}

export interface ComparedRuns {
  readonly runs: number;
  /** From the first tick to live. @unit s */
  readonly setUp: Spread | null;
  /** Live beyond what was asked for; below 0 under. @unit s */
  readonly over: Spread | null;
  readonly segments: readonly SegmentTook[];
}

/**
 * Shows that were live and are over; rehearsals at another speed count for nothing.
 * @param segments of the rundown as it is now, in order
 */
export const compareRuns = (
  runs: readonly RunToCompare[],
  segments: readonly { readonly id: string; readonly title: string; readonly lengthS: number }[],
): ComparedRuns => {
  const over = runs.filter(
    ({ plan: { clock }, liveMs, endedMs }) =>
      liveMs !== null && endedMs !== null && (clock.is === 'real' || clock.speed === 1),
  );
  const tookOf = (id: string): number[] =>
    over.flatMap((run) => {
      const its = run.segments.filter(({ segmentId }) => segmentId === id);
      // One that was left and taken up again took both times together.
      const whole = its.every(({ lastedS }) => lastedS !== null);
      return its.length > 0 && whole
        ? [its.reduce((sum, { lastedS }) => sum + (lastedS ?? 0), 0)]
        : [];
    });
  return {
    runs: over.length,
    setUp: spreadOf(
      over.flatMap(({ firstTickMs, liveMs }) =>
        firstTickMs !== null && liveMs !== null && firstTickMs < liveMs
          ? [(liveMs - firstTickMs) / 1000]
          : [],
      ),
    ),
    over: spreadOf(
      over.flatMap(({ plan: { lengthMin }, liveMs, endedMs }) =>
        lengthMin !== null && liveMs !== null && endedMs !== null
          ? [(endedMs - liveMs) / 1000 - lengthMin * 60]
          : [],
      ),
    ),
    segments: segments.flatMap(({ id, title, lengthS }) => {
      const took = spreadOf(tookOf(id));
      return took ? [{ segmentId: id, title, plannedS: lengthS, took }] : [];
    }),
  };
};
