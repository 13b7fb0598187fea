import type { Rig } from '../rig';
import type { Task } from './schedule';

/** What a task is called for whoever does it. */
export interface TaskTexts {
  /** What is done: `Carry Host’s tripod` */
  readonly what: string;
  /** Where to, or what about it */
  readonly where: string;
  /** How the minutes are estimated, with the numbers in it */
  readonly sum: string;
}

/** How long a task took when it was measured. @unit min */
export interface Took {
  readonly leastMin: number;
  readonly mostMin: number;
  readonly times: number;
}

export interface ChangeTask extends Task, TaskTexts {
  /** Null where it was never measured */
  readonly spread: Took | null;
  /** What a mark on the floor would save, where the set has none yet. @unit min */
  readonly markSavesMin: number;
}

/** A task by its ids and minutes alone: an edit of a name does not change it. */
export interface Work extends Task {
  /** @unit min, before anything was measured */
  readonly estimatedMin: number;
  readonly spread: Took | null;
  /** @unit min */
  readonly markSavesMin: number;
  /** Its texts, with the names of the rig as it is */
  readonly tell: (rig: Rig) => TaskTexts;
}

/** Work before it is known what was measured of it. */
export type Estimated = Omit<Work, 'estimatedMin' | 'spread' | 'markSavesMin'> & {
  /** @unit min */
  readonly markSavesMin?: number;
};
