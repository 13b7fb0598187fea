import { useGesture } from '@use-gesture/react';
import { type RefObject, useRef } from 'react';
import { type Plane, shifted, zoomed } from './plane';
import type { Thing } from './thing';

/** Things snap to this grid, unless Alt is held. @unit m */
export const GRID_M = 0.05;
/** They snap in line with one another when they come so near on the drawing. @unit px */
const LINE_PX = 6;

interface Options {
  readonly plane: Plane;
  readonly things: readonly Thing[];
  readonly onPlane: (plane: Plane) => void;
  readonly onSelect: (key: string | null) => void;
  /** Where a thing was dropped. @unit m */
  readonly onDrop: (thing: Thing, xM: number, yM: number) => void;
}

const onGrid = (metres: number): number => Math.round(metres / GRID_M) * GRID_M;

/** In line with another thing where one is near, else on the grid. */
const snapped = (metres: number, others: readonly number[], pxPerM: number): number =>
  others.find((other) => Math.abs(other - metres) * pxPerM < LINE_PX) ?? onGrid(metres);

/**
 * Pointer and wheel on the plan. While something is dragged only its own marks are moved on the
 * drawing, and what stands on it; the rig is changed when it is dropped.
 */
export const useSurvey = (svg: RefObject<SVGSVGElement | null>, options: Options): void => {
  const dragged = useRef<{ readonly thing: Thing; readonly marks: SVGGElement[] } | null>(null);
  const keyAt = (target: EventTarget | null): string | null =>
    target instanceof Element
      ? (target.closest('[data-thing]')?.getAttribute('data-thing') ?? null)
      : null;
  /** Pixels of the drawing for a pixel of the screen. */
  const perScreenPx = (): number => {
    const width = svg.current?.getBoundingClientRect().width ?? 0;
    return width > 0 ? options.plane.widthPx / width : 1;
  };
  const marksOf = ({ key, id, on, kind }: Thing): SVGGElement[] => {
    const all = [...(svg.current?.querySelectorAll<SVGGElement>('[data-thing]') ?? [])];
    // Where a device rides on a stand, the stand comes along with everything on it.
    const carrier = kind === 'support' ? id : null;
    const rides = kind === 'device' && on !== null && isStand(on) ? on : carrier;
    return all.filter(
      (mark) =>
        mark.dataset['thing'] === key ||
        (rides !== null &&
          (mark.dataset['on'] === rides || mark.dataset['thing'] === `support:${rides}`)),
    );
  };
  const isStand = (supportId: string): boolean =>
    options.things.some(
      ({ kind, id, isRound }) => kind === 'support' && id === supportId && isRound,
    );
  const target = (thing: Thing, dx: number, dy: number, isFree: boolean) => {
    const { plane, things } = options;
    const [xM, yM] = [thing.at.xM + dx / plane.pxPerM, thing.at.yM - dy / plane.pxPerM];
    if (isFree) return { xM, yM };
    const others = things.filter(({ key, on }) => key !== thing.key && on !== thing.id);
    return {
      xM: snapped(
        xM,
        others.map(({ at }) => at.xM),
        plane.pxPerM,
      ),
      yM: snapped(
        yM,
        others.map(({ at }) => at.yM),
        plane.pxPerM,
      ),
    };
  };
  useGesture(
    {
      onDrag: ({
        event,
        first,
        last,
        tap,
        movement: [mx, my],
        delta: [dx, dy],
        altKey,
        cancel,
        pinching,
      }) => {
        if (pinching) return cancel();
        // A tap chooses; it comes once, when the pointer is lifted, and nothing has been moved.
        if (tap) {
          dragged.current = null;
          options.onSelect(keyAt(event.target));
          return;
        }
        const scale = perScreenPx();
        if (first) {
          const key = keyAt(event.target);
          const thing = options.things.find((one) => one.key === key);
          dragged.current = thing?.moves ? { thing, marks: marksOf(thing) } : null;
          if (key !== null) options.onSelect(key);
        }
        const held = dragged.current;
        if (!held) {
          options.onPlane(shifted(options.plane, dx * scale, dy * scale));
          return;
        }
        const to = target(held.thing, mx * scale, my * scale, altKey);
        const { pxPerM } = options.plane;
        const shift = `translate(${(to.xM - held.thing.at.xM) * pxPerM} ${-(to.yM - held.thing.at.yM) * pxPerM})`;
        for (const mark of held.marks)
          if (last) mark.removeAttribute('transform');
          else mark.setAttribute('transform', shift);
        if (!last) return;
        dragged.current = null;
        options.onDrop(held.thing, to.xM, to.yM);
      },
      onPinch: ({ origin: [ox, oy], movement: [factor], memo, first }) => {
        const box = svg.current?.getBoundingClientRect();
        const from: Plane = first || !memo ? options.plane : memo;
        if (!box) return from;
        const scale = perScreenPx();
        options.onPlane(zoomed(from, factor, (ox - box.left) * scale, (oy - box.top) * scale));
        return from;
      },
    },
    {
      target: svg,
      drag: { filterTaps: true, pointer: { touch: false, keys: false } },
      // With Ctrl the wheel is a pinch; without, it scrolls the page as it does elsewhere.
      pinch: { eventOptions: { passive: false } },
    },
  );
};
