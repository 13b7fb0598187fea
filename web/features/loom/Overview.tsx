'use client';

import { Box } from '@chakra-ui/react';
import { type PointerEvent, type RefObject, useEffect, useMemo, useRef } from 'react';
import type { LoomLayout } from '@/layout/parts';

/** Room for the whole chart, small. @unit px */
const WIDTH = 190;
const HEIGHT = 84;
/** Share of what is seen that an arrow key moves it by. */
const STEP_SHARE = 0.5;

interface Props {
  readonly layout: LoomLayout;
  readonly zoom: number;
  readonly scroll: RefObject<HTMLDivElement | null>;
}

const STEPS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The whole chart in three marks: boxes, threads, and the frame of what is on the screen. */
export const Overview = ({ layout, zoom, scroll }: Props) => {
  const frame = useRef<SVGRectElement>(null);
  const scale = Math.min(WIDTH / layout.width, HEIGHT / layout.height);
  const boxes = useMemo(
    () =>
      layout.nodes
        .map(({ x, y, width, height }) => `M${x} ${y}h${width}v${height}h${-width}z`)
        .join(''),
    [layout],
  );
  const threads = useMemo(
    () =>
      layout.strands
        .map(({ x1, y1, x2, y2, bendX }) => `M${x1} ${y1}H${bendX}L${x2} ${y2}`)
        .join(''),
    [layout],
  );

  useEffect(() => {
    const element = scroll.current;
    if (!element) return;
    // The frame follows without drawing anything anew.
    const follow = () => {
      const { scrollLeft, scrollTop, clientWidth, clientHeight } = element;
      const at = { x: scrollLeft, y: scrollTop, width: clientWidth, height: clientHeight };
      for (const [name, px] of Object.entries(at))
        frame.current?.setAttribute(name, String(px / zoom));
    };
    follow();
    element.addEventListener('scroll', follow, { passive: true });
    const observer = new ResizeObserver(follow);
    observer.observe(element);
    return () => {
      element.removeEventListener('scroll', follow);
      observer.disconnect();
    };
  }, [scroll, zoom, layout]);

  const goTo = ({ currentTarget, clientX, clientY }: PointerEvent<SVGSVGElement>) => {
    const element = scroll.current;
    if (!element) return;
    const { left, top } = currentTarget.getBoundingClientRect();
    const [x, y] = [(clientX - left) / scale, (clientY - top) / scale];
    element.scrollTo({
      left: x * zoom - element.clientWidth / 2,
      top: y * zoom - element.clientHeight / 2,
    });
  };

  return (
    <Box
      flex="none"
      role="group"
      aria-label="The whole chart: arrow keys move what is seen"
      tabIndex={0}
      onKeyDown={(event) => {
        const step = STEPS[event.key];
        const element = scroll.current;
        if (!step || !element) return;
        event.preventDefault();
        element.scrollBy({
          left: step[0] * element.clientWidth * STEP_SHARE,
          top: step[1] * element.clientHeight * STEP_SHARE,
        });
      }}
    >
      <svg
        width={layout.width * scale}
        height={layout.height * scale}
        viewBox={`0 0 ${layout.width} ${layout.height}`}
        style={{ cursor: 'crosshair', touchAction: 'none', display: 'block' }}
        aria-hidden
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          goTo(event);
        }}
        onPointerMove={(event) => {
          if (event.buttons > 0) goTo(event);
        }}
      >
        <path
          d={threads}
          fill="none"
          stroke="var(--chakra-colors-rule-strong)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
        <path d={boxes} fill="var(--chakra-colors-ink-soft)" />
        <rect
          ref={frame}
          fill="var(--chakra-colors-madder-wash)"
          fillOpacity={0.5}
          stroke="var(--chakra-colors-madder)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
    </Box>
  );
};
