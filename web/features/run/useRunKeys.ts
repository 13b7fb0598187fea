'use client';

import type { Happened, RunPlan } from '@echo-loom/core';
import { useHotkeys } from 'react-hotkeys-hook';

/** One key for each thing that is marked while the eyes are on the show. */
export const useRunKeys = (
  happen: (happened: Happened) => void,
  next: RunPlan['segments'][number] | undefined,
): void => {
  useHotkeys('m', () => happen({ is: 'marked', kind: 'marker', text: '' }));
  useHotkeys('t', () => happen({ is: 'marked', kind: 'take', text: '' }));
  useHotkeys('r', () => happen({ is: 'marked', kind: 'retake', text: '' }));
  useHotkeys('c', () => happen({ is: 'marked', kind: 'chapter', text: '' }));
  useHotkeys('i', () => happen({ is: 'incident', deviceId: null, what: 'Incident' }));
  useHotkeys('n', () => next && happen({ is: 'segment', segmentId: next.id }));
};
