import type { ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';

/** A drawing as the text of an SVG file of its own. @param size of the drawing, px */
export const svgText = (
  { width, height }: { readonly width: number; readonly height: number },
  drawing: ReactNode,
): string => {
  const host = document.createElement('div');
  const root = createRoot(host);
  flushSync(() =>
    root.render(
      <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
        <rect width={width} height={height} fill="#fff" />
        {drawing}
      </svg>,
    ),
  );
  const svg = host.querySelector('svg');
  const text = svg ? new XMLSerializer().serializeToString(svg) : '';
  root.unmount();
  return `<?xml version="1.0" encoding="UTF-8"?>\n${text}\n`;
};
