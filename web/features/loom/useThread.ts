import type { Analysis, Thread } from '@echo-loom/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { keyOf } from './marks';
import type { Shown } from '@/layout/parts';
import type { Item } from '@/features/chosen/view';
import { litBy, threadsThrough } from './ways';

interface Chosen {
  /** Every thread through what is selected */
  readonly threads: readonly Thread[];
  /** Which of them is chosen */
  readonly at: number;
  readonly step: (by: 1 | -1) => void;
  /** What stands on the chosen one; null where none is chosen */
  readonly lit: Shown | null;
}

/** A cable, or a device where threads begin, chooses a thread: its way is written and the rest is dimmed. */
export const useThread = (analysis: Analysis, selected: Item | null): Chosen => {
  // Walking along the chart is not held up by it.
  const item = useDeferredValue(selected);
  const [chosen, setChosen] = useState<{ of: string; at: number }>({ of: '', at: 0 });
  const threads = useMemo(() => {
    if (!item) return [];
    const through = threadsThrough(analysis, item);
    return item.kind === 'link'
      ? through
      : through.filter(({ source }) => source.device.id === item.id);
  }, [analysis, item]);
  const of = item ? keyOf(item) : '';
  const at = chosen.of === of ? Math.min(chosen.at, Math.max(threads.length - 1, 0)) : 0;
  const lit = useMemo(() => {
    const thread = threads[at];
    return thread ? litBy([thread]) : null;
  }, [threads, at]);
  return {
    threads,
    at,
    step: (by) => setChosen({ of, at: (at + by + threads.length) % threads.length }),
    lit,
  };
};
