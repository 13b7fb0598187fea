import type { Phase } from '@echo-loom/core';

/** The lists by what they are called. */
export const PHASE_TITLES: Readonly<Record<Phase, string>> = {
  'set up': 'Set up',
  test: 'Test',
  'go live': 'Go live',
  during: 'During',
  strike: 'Strike',
};
