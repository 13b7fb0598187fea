'use client';

import type { ModelDraft } from '@echo-loom/core';
import { useState } from 'react';
import type { Editing } from './editing';

/** Drafts before and after the present one; what was taken back can be done again until something else is. */
interface Steps {
  readonly past: readonly ModelDraft[];
  readonly now: ModelDraft;
  readonly future: readonly ModelDraft[];
}

interface Drafting extends Pick<Editing, 'change'> {
  readonly now: ModelDraft;
  /** null where there is nothing to take back, or to do again */
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

const changed = (steps: Steps, next: ModelDraft): Steps =>
  next === steps.now ? steps : { past: [...steps.past, steps.now], now: next, future: [] };

const undone = (steps: Steps): Steps => {
  const before = steps.past.at(-1);
  return before
    ? { past: steps.past.slice(0, -1), now: before, future: [steps.now, ...steps.future] }
    : steps;
};

const redone = (steps: Steps): Steps => {
  const [after, ...rest] = steps.future;
  return after ? { past: [...steps.past, steps.now], now: after, future: rest } : steps;
};

/** A draft that can be changed, taken back and done again. */
export const useDraft = (start: ModelDraft): Drafting => {
  const [steps, setSteps] = useState<Steps>({ past: [], now: start, future: [] });
  return {
    now: steps.now,
    change: (to) => setSteps((present) => changed(present, to(present.now))),
    undo: steps.past.length > 0 ? () => setSteps(undone) : null,
    redo: steps.future.length > 0 ? () => setSteps(redone) : null,
  };
};
