import { type RefObject, useCallback, useEffect, useState } from 'react';
import type { LoomLayout } from '@/layout/parts';
import { useLoomView } from '@/features/chosen/view';

/** One press of a key or button. */
const ZOOM_STEP = 1.2;
/** Growth of the size for each pixel a wheel turns. */
const WHEEL_RATE = 0.0015;

interface Zooming {
  readonly zoom: number;
  /** Whether part of the chart is out of sight */
  readonly isLarger: boolean;
  readonly nearer: () => void;
  readonly farther: () => void;
  /** Makes the whole chart fit; back to full size where it does already */
  readonly fit: () => void;
}

/** How large the chart is drawn, by buttons, keys, and Ctrl with the wheel about the pointer. */
export const useZoom = (scroll: RefObject<HTMLDivElement | null>, layout: LoomLayout): Zooming => {
  const zoom = useLoomView((view) => view.zoom);
  const setZoom = useLoomView((view) => view.setZoom);
  const [room, setRoom] = useState({ width: Infinity, height: Infinity });

  useEffect(() => {
    const element = scroll.current;
    if (!element) return;
    const measure = () => setRoom({ width: element.clientWidth, height: element.clientHeight });
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [scroll, layout]);

  useEffect(() => {
    const element = scroll.current;
    if (!element) return;
    const turn = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      const before = useLoomView.getState().zoom;
      setZoom(before * Math.exp(-event.deltaY * WHEEL_RATE));
      const by = useLoomView.getState().zoom / before;
      const { left, top } = element.getBoundingClientRect();
      const [x, y] = [event.clientX - left, event.clientY - top];
      const at = [element.scrollLeft, element.scrollTop] as const;
      // What is under the pointer stays there.
      requestAnimationFrame(() =>
        element.scrollTo({ left: (at[0] + x) * by - x, top: (at[1] + y) * by - y }),
      );
    };
    element.addEventListener('wheel', turn, { passive: false });
    return () => element.removeEventListener('wheel', turn);
  }, [scroll, setZoom, layout]);

  const fits = Math.min(room.width / layout.width, room.height / layout.height, 1);
  const fit = useCallback(
    () => setZoom(Math.abs(zoom - fits) < 0.01 ? 1 : fits),
    [fits, setZoom, zoom],
  );
  return {
    zoom,
    isLarger: layout.width * zoom > room.width + 1 || layout.height * zoom > room.height + 1,
    nearer: useCallback(() => setZoom(zoom * ZOOM_STEP), [setZoom, zoom]),
    farther: useCallback(() => setZoom(zoom / ZOOM_STEP), [setZoom, zoom]),
    fit,
  };
};
