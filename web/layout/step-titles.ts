import type { Step } from '@echo-loom/core';

/** The steps of the chain as they are headed. */
export const STEP_TITLES: Readonly<Record<Step, string>> = {
  source: 'Source',
  lift: 'Lift',
  shape: 'Shape',
  combine: 'Combine',
  'take in': 'Take in',
  make: 'Make',
  deliver: 'Deliver',
  'hear and see': 'Hear and see',
};
