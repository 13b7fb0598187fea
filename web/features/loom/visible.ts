import { type RefObject, startTransition, useEffect, useState } from 'react';

/** Beyond the window, so that scrolling shows no gaps. @unit px */
const OVERSCAN = 400;
/** So far the window moves before more is drawn: a little at a time, so that no frame waits for much. @unit px */
const STEP = 50;

interface Window {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Of a large chart what is drawn before anything is known of the screen. */
const FIRST: Window = { left: 0, top: 0, right: 1600, bottom: 1200 };
const EVERYTHING: Window = { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity };

/** Below this many items everything is drawn: print and search in page find it all. */
export const DRAW_ALL = 250;

/** The part of the chart that is on the screen. */
export const useWindow = (
  ref: RefObject<HTMLElement | null>,
  isLarge: boolean,
  zoom: number,
): Window => {
  const [seen, setSeen] = useState<Window>(FIRST);
  useEffect(() => {
    const element = ref.current;
    if (!element || !isLarge) return;
    const next = (before: Window): Window => {
      const { scrollLeft, scrollTop, clientWidth, clientHeight } = element;
      const now = {
        left: scrollLeft / zoom - OVERSCAN,
        top: scrollTop / zoom - OVERSCAN,
        right: (scrollLeft + clientWidth) / zoom + OVERSCAN,
        bottom: (scrollTop + clientHeight) / zoom + OVERSCAN,
      };
      const moved =
        Math.abs(now.left - before.left) > STEP ||
        Math.abs(now.top - before.top) > STEP ||
        now.right - before.right > STEP ||
        now.bottom - before.bottom > STEP;
      return moved ? now : before;
    };
    // What comes into sight is drawn when there is time; the overscan covers it meanwhile.
    const look = () => startTransition(() => setSeen(next));
    look();
    element.addEventListener('scroll', look, { passive: true });
    const observer = new ResizeObserver(look);
    observer.observe(element);
    return () => {
      element.removeEventListener('scroll', look);
      observer.disconnect();
    };
  }, [ref, isLarge, zoom]);
  return isLarge ? seen : EVERYTHING;
};

/** From here on the boxes of the sources are out of sight. @unit px */
const ASIDE = 60;

/** Marks the chart as scrolled aside, so that the names of the sources stand at its edge; draws nothing anew. */
export const useAside = (ref: RefObject<HTMLElement | null>): void => {
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const look = () => element.toggleAttribute('data-aside', element.scrollLeft > ASIDE);
    look();
    element.addEventListener('scroll', look, { passive: true });
    return () => element.removeEventListener('scroll', look);
  }, [ref]);
};

export const meets = (
  seen: Window,
  left: number,
  top: number,
  right: number,
  bottom: number,
): boolean => right >= seen.left && left <= seen.right && bottom >= seen.top && top <= seen.bottom;
