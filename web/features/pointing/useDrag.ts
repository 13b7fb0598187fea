import { joinings } from '@echo-loom/core';
import { type RefObject, useEffect } from 'react';
import { useLoomView } from '@/features/chosen/view';
import { useRigSession } from '@/features/rig/RigProvider';
import type { LoomLayout } from '@/layout/parts';
import { drop } from './drop';
import { type Held, sameTarget, type Target, usePointing } from './pointing';

/** So far a pointer moves before it is a drag and no click. @unit px */
const DRAG_PX = 6;
/** So long a finger rests before it drags; before that it scrolls. @unit ms */
const LONG_PRESS_MS = 400;
/** Near a thread. @unit px */
const NEAR_PX = 9;
/** This near the edge the chart moves along. @unit px */
const EDGE_PX = 48;
const EDGE_STEP_PX = 14;

const heldBy = (target: EventTarget | null): Held | null => {
  if (!(target instanceof Element)) return null;
  const port = target.closest<HTMLElement>('[data-port]')?.dataset.port;
  if (port !== undefined) {
    const [deviceId = '', portId = ''] = port.split('.');
    return { deviceId, portId };
  }
  const node = target.closest<HTMLElement>('[data-item^="device:"]:not([aria-expanded])');
  const item = node?.dataset.item;
  return item === undefined ? null : { deviceId: item.slice('device:'.length), portId: null };
};

/** The thread that passes a point of the chart, if one is near enough. */
export const threadNear = ({ strands }: LoomLayout, x: number, y: number): string | undefined =>
  strands.find(
    ({ x1, y1, bendX, linkIds }) =>
      linkIds.length === 1 && x > x1 && x < bendX && Math.abs(y - y1) <= NEAR_PX,
  )?.linkId;

const targetAt = (
  chart: HTMLElement,
  layout: LoomLayout,
  zoom: number,
  x: number,
  y: number,
): Target | null => {
  const element = document.elementFromPoint(x, y);
  if (!element) return null;
  if (element.closest('[data-drop="out"]')) return { at: 'out' };
  if (!chart.contains(element)) return null;
  const item = element.closest<HTMLElement>('[data-item]:not([aria-expanded])')?.dataset.item;
  if (item?.startsWith('device:')) return { at: 'device', deviceId: item.slice(7) };
  if (item?.startsWith('link:')) return { at: 'cable', linkId: item.slice(5) };
  const { left, top } = chart.getBoundingClientRect();
  const linkId = threadNear(
    layout,
    (x - left + chart.scrollLeft) / zoom,
    (y - top + chart.scrollTop) / zoom,
  );
  return linkId === undefined ? { at: 'ground' } : { at: 'cable', linkId };
};

/** Scrolls the chart along while the pointer is at its edge. */
const scrollAlong = (chart: HTMLElement, x: number, y: number): void => {
  const { left, right, top, bottom } = chart.getBoundingClientRect();
  const step = (at: number, from: number, to: number) =>
    at < from + EDGE_PX ? -EDGE_STEP_PX : at > to - EDGE_PX ? EDGE_STEP_PX : 0;
  chart.scrollBy(step(x, left, right), step(y, top, bottom));
};

interface Options {
  /** Everything that can be taken hold of: the chart and the sheet beside it */
  readonly around: RefObject<HTMLElement | null>;
  readonly scroll: RefObject<HTMLElement | null>;
  readonly line: RefObject<SVGLineElement | null>;
  readonly layout: LoomLayout;
}

/**
 * Dragging on the loom: a device or a port is taken hold of, what it can join lights up, and where it
 * is let go it is joined, spliced in, taken out, or asked what goes there. Escape lets go of it.
 */
export const useDrag = ({ around, scroll, line, layout }: Options): void => {
  const session = useRigSession();

  useEffect(() => {
    const element = around.current;
    if (!element) return;
    let start: { held: Held; x: number; y: number; pointerId: number; touch: boolean } | null =
      null;
    let at = { x: 0, y: 0 };
    let press: ReturnType<typeof setTimeout> | undefined;
    let frame = 0;
    const isDragging = () => usePointing.getState().held !== null;

    const end = () => {
      clearTimeout(press);
      cancelAnimationFrame(frame);
      start = null;
      if (isDragging()) usePointing.getState().letGo();
    };
    const follow = () => {
      const chart = scroll.current;
      if (!isDragging() || !chart) return;
      line.current?.setAttribute('x2', String(at.x));
      line.current?.setAttribute('y2', String(at.y));
      scrollAlong(chart, at.x, at.y);
      const target = targetAt(chart, layout, useLoomView.getState().zoom, at.x, at.y);
      const { target: before, over } = usePointing.getState();
      if (!sameTarget(before, target)) over(target);
      frame = requestAnimationFrame(follow);
    };
    const begin = () => {
      const { analysis } = session.store.getState();
      const node = start && analysis.graph.devices.get(start.held.deviceId);
      if (!start || !node) return;
      usePointing.getState().hold(start.held, joinings(analysis, node, start.held.portId));
      const { x, y } = start;
      // The line is drawn with what is held, so its first end is set once it is there.
      requestAnimationFrame(() => {
        line.current?.setAttribute('x1', String(x));
        line.current?.setAttribute('y1', String(y));
        follow();
      });
    };

    const down = (event: PointerEvent) => {
      if (event.button !== 0 || !event.isPrimary) return;
      const held = heldBy(event.target);
      if (!held) return;
      const { clientX: x, clientY: y, pointerId } = event;
      at = { x, y };
      start = { held, x, y, pointerId, touch: event.pointerType === 'touch' };
      if (start.touch) press = setTimeout(begin, LONG_PRESS_MS);
    };
    const move = (event: PointerEvent) => {
      if (!start || event.pointerId !== start.pointerId) return;
      at = { x: event.clientX, y: event.clientY };
      if (isDragging() || Math.hypot(at.x - start.x, at.y - start.y) < DRAG_PX) return;
      // A finger that moves before it has rested scrolls.
      if (start.touch) end();
      else begin();
    };
    const up = () => {
      const { held, target, joinings: can } = usePointing.getState();
      if (held) {
        // The click that ends a drag opens nothing.
        window.addEventListener('click', swallow, { capture: true, once: true });
        setTimeout(() => window.removeEventListener('click', swallow, { capture: true }), 0);
        if (target) drop(session, held, can, target);
      }
      end();
    };
    const swallow = (event: Event) => {
      event.stopPropagation();
      event.preventDefault();
    };
    const escape = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !isDragging()) return;
      event.preventDefault();
      event.stopPropagation();
      end();
    };
    const hold = (event: Event) => {
      if (isDragging()) event.preventDefault();
    };

    element.addEventListener('pointerdown', down);
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', end);
    window.addEventListener('keydown', escape, true);
    element.addEventListener('touchmove', hold, { passive: false });
    element.addEventListener('contextmenu', hold);
    return () => {
      end();
      element.removeEventListener('pointerdown', down);
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', end);
      window.removeEventListener('keydown', escape, true);
      element.removeEventListener('touchmove', hold);
      element.removeEventListener('contextmenu', hold);
    };
  }, [around, scroll, line, layout, session]);
};
