import { type Analysis, fixesOfCause, edited, type Verdict } from '../analyse';
import type { Fix } from '../edits/fix';
import { costOf } from '../passes/money';
import { Refusal } from '../rig';
import type { Cause } from '../rules/causes';
import { findingKey } from '../rules';
import { isFree } from './free';

/** The one edit that gains most now. */
export interface NextStep {
  /** Of the finding it is offered for, as `findingKey` gives it */
  readonly key: string;
  readonly fix: Fix;
  readonly after: Verdict;
  /** How many fewer there are with it */
  readonly stopsGone: number;
  readonly warnsGone: number;
  /** What it adds to what is to be paid, in the studio's currency */
  readonly cost: number;
  /** Whether it needs nothing but hands; what has no price is not free */
  readonly isFree: boolean;
}

/** So many causes are looked at, the worst first; whoever reads the answer is not kept waiting. */
const MOST_CAUSES = 12;

/** The best remedy of a cause, tried. @returns null where it has none that makes nothing worse */
const stepFor = (analysis: Analysis, cause: Cause): NextStep | null => {
  const fix = fixesOfCause(analysis, cause).find(({ isWorse }) => !isWorse);
  if (!fix) return null;
  try {
    const { verdict } = edited(analysis, fix.command);
    return {
      key: findingKey(cause.finding),
      fix,
      after: verdict,
      stopsGone: analysis.verdict.stops - verdict.stops,
      warnsGone: analysis.verdict.warns - verdict.warns,
      cost: costOf(analysis.rig, fix.command),
      isFree: isFree(analysis.rig, fix),
    };
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

/** Whether one step is worth more than another: stops first, then warnings, then what it costs. */
const gainsMore = (one: NextStep, other: NextStep): boolean => {
  if (one.stopsGone !== other.stopsGone) return one.stopsGone > other.stopsGone;
  if (one.warnsGone !== other.warnsGone) return one.warnsGone > other.warnsGone;
  return one.cost < other.cost;
};

/** How far the search for the next step is. */
export interface NextStepProgress {
  readonly tried: number;
  readonly of: number;
}

/**
 * What to do next: of the best remedies of the worst findings the one that takes away most for the least
 * money. While there are stops only they are looked at, then warnings; notes are nobody's next step.
 * @returns null where nothing presses, or nothing on offer helps; yields before each cause it tries, so that whoever
 * draws the steps may stop
 */
export function* seekingNextStep(
  analysis: Analysis,
): Generator<NextStepProgress, NextStep | null, void> {
  let best: NextStep | null = null;
  for (const level of ['stop', 'warn'] as const) {
    const causes = analysis.causes
      .filter(({ finding }) => finding.level === level)
      .slice(0, MOST_CAUSES);
    for (const [tried, cause] of causes.entries()) {
      yield { tried, of: causes.length };
      const step = stepFor(analysis, cause);
      if (step && (!best || gainsMore(step, best))) best = step;
    }
    if (best) return best;
  }
  return null;
}

/** The same at once. */
export const nextStep = (analysis: Analysis): NextStep | null => {
  const seeking = seekingNextStep(analysis);
  for (;;) {
    const step = seeking.next();
    if (step.done) return step.value;
  }
};
