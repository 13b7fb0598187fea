import type { CheckLine, ToRead } from '../day';
import { type Spread, spreadOf } from '../day/spread';
import { readOff } from './readings';
import type { RunPlan } from './schema';

/** Runs beside one another: what took how long, what was read off, what made trouble, and how much that varies. */

/** What a run came to, as far as runs are compared. */
export interface RunToCompare {
  readonly plan: Pick<RunPlan, 'segments' | 'lengthMin' | 'clock'>;
  readonly firstTickMs: number | null;
  readonly liveMs: number | null;
  readonly endedMs: number | null;
  readonly segments: readonly { readonly segmentId: string; readonly lastedS: number | null }[];
  /** What was read off, by line of the checklists */
  readonly measured: readonly {
    readonly lineId: string;
    readonly value: number;
    readonly unit: string;
  }[];
  /** Devices of incidents, one for each */
  readonly troubled: readonly string[];
}

export interface SegmentTook {
  readonly segmentId: string;
  readonly title: string;
  /** As the rundown has it now. @unit s */
  readonly plannedS: number;
  /** @unit s */
  readonly took: Spread;
}

export interface ReadInRuns {
  readonly line: CheckLine;
  readonly reads: ToRead;
  readonly values: Spread;
  /** Far off in every one of several runs, and to the same side: then it is not the voice that varies */
  readonly isAlwaysFar: boolean;
}

export interface Troubled {
  readonly deviceId: string;
  readonly incidents: number;
  readonly runs: number;
}

export interface ComparedRuns {
  readonly runs: number;
  /** From the first tick to live. @unit s */
  readonly setUp: Spread | null;
  /** Live beyond what was asked for; below 0 under. @unit s */
  readonly over: Spread | null;
  readonly segments: readonly SegmentTook[];
  /** What was read off, in the order of the checklists */
  readonly readings: readonly ReadInRuns[];
  /** The one with most first */
  readonly trouble: readonly Troubled[];
}

type Compared = Pick<RunToCompare, 'measured' | 'troubled'>;

const readingsOf = (runs: readonly Compared[], lines: readonly CheckLine[]): ReadInRuns[] =>
  lines.flatMap((line) => {
    const { reads } = line;
    if (!reads) return [];
    const all = runs.flatMap(({ measured }) =>
      measured
        .filter(({ lineId, unit }) => lineId === line.id && unit === reads.unit)
        .map(({ value }) => value),
    );
    const values = spreadOf(all);
    if (!values) return [];
    const off = all.map((value) => readOff(reads, value));
    const isAlwaysFar =
      off.length > 1 &&
      off.every(({ isFar }) => isFar) &&
      new Set(off.map((each) => Math.sign(each.off))).size === 1;
    return [{ line, reads, values, isAlwaysFar }];
  });

const troubleOf = (runs: readonly Compared[]): Troubled[] => {
  const ids = [...new Set(runs.flatMap(({ troubled }) => troubled))];
  return ids
    .map((deviceId) => {
      const times = runs.map(({ troubled }) => troubled.filter((id) => id === deviceId).length);
      return {
        deviceId,
        incidents: times.reduce((sum, many) => sum + many, 0),
        runs: times.filter((many) => many > 0).length,
      };
    })
    .sort((a, b) => b.incidents - a.incidents || (a.deviceId < b.deviceId ? -1 : 1));
};

/**
 * Shows that were live and are over; rehearsals at another speed count for nothing.
 * @param segments of the rundown as it is now, in order
 * @param lines of the checklists as they are now
 */
export const compareRuns = (
  runs: readonly RunToCompare[],
  segments: readonly { readonly id: string; readonly title: string; readonly lengthS: number }[],
  lines: readonly CheckLine[],
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
    readings: readingsOf(over, lines),
    trouble: troubleOf(over),
  };
};
