import { type Analysis, analysing, type Rig } from '@echo-loom/core';

/** So long the page is kept busy at a time. @unit ms */
const SLICE_MS = 20;

/** Lets the browser answer whoever presses something. */
const breathe = (): Promise<void> =>
  new Promise((done) => {
    setTimeout(done, 0);
  });

/** A rig's first analysis, in slices, so that the page answers meanwhile. @returns null where it is wanted no more */
export const firstAnalysis = async (
  rig: Rig,
  isWanted: () => boolean,
): Promise<Analysis | null> => {
  const steps = analysing(rig);
  let since = performance.now();
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    if (performance.now() - since < SLICE_MS) continue;
    await breathe();
    if (!isWanted()) return null;
    since = performance.now();
  }
};
