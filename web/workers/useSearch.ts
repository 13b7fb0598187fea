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

interface Asked {
  readonly analysis: Analysis;
  readonly about: string;
  readonly attempt: number;
}

/** A long search in the engine's thread, started and cancelled by hand. */
export const useSearch = <T>({ analysis, ask, onFound }: Search<T>): Started<T> => {
  const [asked, setAsked] = useState<Asked | null>(null);
  const present = asked?.analysis === analysis ? asked : null;
  const about = present?.about ?? null;
  const at = useTask({
    analysis,
    // Each start is a search of its own: one that failed can be started again.
    key: present && `${present.attempt} ${present.about}`,
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
    start: (next) =>
      setAsked((last) => ({ analysis, about: next, attempt: (last?.attempt ?? 0) + 1 })),
    cancel: () => setAsked(null),
  };
};
