import type { PortFamily } from '@echo-loom/core';

/** How a family of threads is drawn. @unit px */
interface Stroke {
  readonly width: number;
  readonly dash?: string;
  readonly isDouble?: true;
}

/** Picture solid and thick, analogue sound single, digital sound double, data dashed, programs dotted. */
export const STROKES: Readonly<Record<PortFamily, Stroke>> = {
  picture: { width: 4 },
  analogue: { width: 1.8 },
  'digital sound': { width: 5, isDouble: true },
  usb: { width: 2.2, dash: '8 4' },
  network: { width: 2.2, dash: '8 4' },
  software: { width: 1.6, dash: '3 3' },
};
