'use client';

import { startTransition, useEffect, useState } from 'react';

/**
 * How much of a long list is drawn: a few at once, then a few more whenever there is time, until all
 * of it is there, so that no single drawing holds the page up.
 * @param length of the list @param step how many at a time @param of what the list is of: another one begins anew
 */
export const useGrowing = (length: number, step: number, of: string): number => {
  const [grown, setGrown] = useState({ of, count: step });
  const count = grown.of === of ? grown.count : step;
  useEffect(() => {
    if (count >= length) return;
    const timer = setTimeout(() => startTransition(() => setGrown({ of, count: count + step })));
    return () => clearTimeout(timer);
  }, [count, length, step, of]);
  return Math.min(count, length);
};
