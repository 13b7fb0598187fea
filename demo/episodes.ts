import {
  type Analysis,
  EPISODE_STEPS,
  type EpisodeStep,
  entry,
  type Happened,
  namedFiles,
} from '@echo-loom/core';
import { createHash } from 'node:crypto';

/** What became of an episode after it was over. */
export interface After {
  /** The last step it went */
  readonly until: EpisodeStep;
  /** Where its copies were checked: ids of places for copies */
  readonly checkedIn: readonly string[];
}

/** Bytes of a gigabyte. */
const GB = 1e9;
const STEP_HOURS = 9;
const HOUR_MS = 3_600_000;

/** Steps and checks of an episode, each so many milliseconds after its end. */
export const afterwards = (
  analysis: Analysis,
  { until, checkedIn }: After,
  show: { readonly date: string; readonly episode: number },
): (readonly [afterMs: number, happened: Happened])[] => {
  const files = namedFiles(analysis, { ...show, take: 1 });
  const drives = [...new Set(files.map(({ driveId }) => driveId))];
  const steps = EPISODE_STEPS.slice(0, EPISODE_STEPS.indexOf(until) + 1);
  return [
    ...steps.map((step, at) => [HOUR_MS * (1 + at * STEP_HOURS), { is: 'moved', step }] as const),
    ...checkedIn.flatMap((storeId, at) =>
      drives.map((driveId, nth) => {
        if (!entry(analysis.rig.stores, storeId)) throw new Error(`no place ${storeId}`);
        const its = files.filter((file) => file.driveId === driveId);
        return [
          HOUR_MS * (3 + at) + nth,
          {
            is: 'checked',
            check: {
              driveId,
              storeId,
              lacks: 0,
              files: its.map(({ name, gb }) => ({
                name,
                bytes: Math.round(gb * GB),
                sha256: createHash('sha256').update(`${show.date} ${name}`).digest('hex'),
              })),
            },
          },
        ] as const;
      }),
    ),
  ];
};
