'use client';

import { type RefObject, useCallback, useEffect, useRef } from 'react';

/** How far outside the window something counts as seen: whoever scrolls comes there next. */
const AHEAD = '300px';

/** Whether something stands in the window, or nearly. @returns a question, not a value: nothing is drawn again */
export const useSeen = (element: RefObject<Element | null>): (() => boolean) => {
  const seen = useRef(false);
  useEffect(() => {
    const { current } = element;
    if (!current) return;
    const watching = new IntersectionObserver(
      (entries) => {
        for (const { isIntersecting } of entries) seen.current = isIntersecting;
      },
      { rootMargin: AHEAD },
    );
    watching.observe(current);
    return () => watching.disconnect();
  }, [element]);
  return useCallback(() => seen.current, []);
};
