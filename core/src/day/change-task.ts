import type { Task } from './schedule';

export interface ChangeTask extends Task {
  /** What is done: `Carry Host’s tripod` */
  readonly what: string;
  /** Where to, or what about it */
  readonly where: string;
  /** How the minutes are estimated, with the numbers in it */
  readonly sum: string;
  /** Least and most of the times it was measured; null where it never was */
  readonly spread: {
    readonly leastMin: number;
    readonly mostMin: number;
    readonly times: number;
  } | null;
  /** What a mark on the floor would save, where the set has none yet. @unit min */
  readonly markSavesMin: number;
}

/** Before it is known what was measured of it. */
export type Estimated = Omit<ChangeTask, 'spread' | 'markSavesMin'> & {
  readonly markSavesMin?: number;
};
