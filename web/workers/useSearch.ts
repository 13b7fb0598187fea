'use client';

import type { Analysis, Progress } from '@echo-loom/core';
import type { Remote } from 'comlink';
import { useState } from 'react';
import type { EngineTasks } from './tasks';
import { type TaskState, useTask } from './useTask';

interface Search<T> {
  readonly analysis: Analysis;
  readonly ask: (tasks: Remote<EngineTasks>, onProgress: Progress) => Promise<T>;
  /** Called once with what was found, where that is to be done at once and not shown */
  readonly onFound?: (value: T) => void;
}

/** A search that somebody starts: what was found on an older rig says nothing of this one. */
export interface Started<T> {
  readonly at: TaskState<T>;
  /** What it was started for; null where nothing was */
  readonly about: string | null;
  readonly start: (about: string) => void;
  readonly cancel: () => void;
}

/** A long search in the engine's thread, started and cancelled by hand. */
export const useSearch = <T>({ analysis, ask, onFound }: Search<T>): Started<T> => {
  const [asked, setAsked] = useState<{ analysis: Analysis; about: string } | null>(null);
  const about = asked?.analysis === analysis ? asked.about : null;
  const at = useTask({
    analysis,
    key: about,
    ask,
    isLong: true,
    onFound:
      onFound &&
      ((value: T) => {
        setAsked(null);
        onFound(value);
      }),
  });
  return {
    at,
    about,
    start: (next) => setAsked({ analysis, about: next }),
    cancel: () => setAsked(null),
  };
};
