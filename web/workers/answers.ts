import {
  type Analysis,
  type ChangeTask,
  costOf,
  type Finding,
  type Fix,
  type PlaceTiming,
  predict,
  type Prediction,
  type Progress,
  Refusal,
  type Saving,
  savings,
  type Schedule,
  type SimpleCommand,
  type TimingSolution,
  type Verdict,
} from '@echo-loom/core';

/** What the engine answers, and how it makes an answer of what it tried. */

/** A fix, and what would come of it. */
export interface Offer {
  readonly fix: Fix;
  /** null where the rig has changed so that it no longer applies */
  readonly prediction: Prediction | null;
  /** What it adds to what is to be paid */
  readonly cost: number;
}

/** Delays for all places at once, and what they would come to. Milliseconds. */
export type TimingAnswer = Pick<
  TimingSolution,
  'worstBeforeMs' | 'worstMs' | 'boundMs' | 'unknown'
> & {
  readonly commands: readonly SimpleCommand[];
  /** What each place comes to, with all others and alone */
  readonly places: readonly PlaceTiming[];
  readonly tried: Tried | null;
};

/** What an edit comes to. */
export interface Tried {
  readonly verdict: Verdict;
  readonly fresh: readonly Finding[];
  readonly gone: readonly Finding[];
  readonly cost: number;
}

export const offerOf = (analysis: Analysis, finding: Finding, fix: Fix): Offer => {
  try {
    return {
      fix,
      prediction: predict(analysis, finding, fix),
      cost: costOf(analysis.rig, fix.command),
    };
  } catch (error) {
    if (error instanceof Refusal) return { fix, prediction: null, cost: 0 };
    throw error;
  }
};

export const offersOf = (
  analysis: Analysis,
  finding: Finding,
  fixes: readonly Fix[],
  onProgress?: Progress,
): Offer[] =>
  fixes.map((fix, index) => {
    onProgress?.(index, fixes.length);
    return offerOf(analysis, finding, fix);
  });

/** A change-over as it would be done. */
export interface ChangeOverAnswer {
  readonly tasks: readonly ChangeTask[];
  readonly schedule: Schedule;
  readonly withOneMore: Schedule;
  /** What it would save to leave cables plugged, and to mark places; the best first */
  readonly plugged: readonly Saving[];
  readonly marked: readonly Saving[];
}

/** Most tasks that are tried one by one, those that take longest. */
const MOST_TRIED = 10;

export const savedBy = (
  tasks: readonly ChangeTask[],
  people: number,
  lessBy: (task: ChangeTask) => number,
): Saving[] => {
  const tried = [...tasks]
    .filter((task) => lessBy(task) > 0)
    .sort((a, b) => lessBy(b) - lessBy(a))
    .slice(0, MOST_TRIED);
  return savings(tasks, people, new Map(tried.map((task) => [task.id, lessBy(task)])));
};
