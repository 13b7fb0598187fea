import type { PortFamily } from '@echo-loom/core';
import { STROKES } from '../lines';

/** Colours of a file, those of the light theme; on paper everything is black. */
const COLOURS: Readonly<Record<PortFamily, string>> = {
  picture: '#1f6478',
  analogue: '#8a4b08',
  'digital sound': '#5a4b98',
  usb: '#3f6b35',
  network: '#3f6b35',
  software: '#3f6b35',
};

/** What each line pattern stands for. */
export const LEGEND: readonly (readonly [PortFamily, string])[] = [
  ['picture', 'picture'],
  ['analogue', 'analogue sound'],
  ['digital sound', 'digital sound'],
  ['usb', 'USB and network'],
  ['software', 'inside a computer'],
];

/** One thread in its line pattern. */
export const ThreadLine = ({
  d,
  family,
  isBlack,
}: {
  readonly d: string;
  readonly family: PortFamily;
  readonly isBlack: boolean;
}) => {
  const { width, dash, isDouble } = STROKES[family];
  const colour = isBlack ? '#000' : COLOURS[family];
  return (
    <g fill="none">
      <path d={d} stroke="#fff" strokeWidth={width + 5} />
      <path d={d} stroke={colour} strokeWidth={width} strokeDasharray={dash} />
      {isDouble && <path d={d} stroke="#fff" strokeWidth={width - 3} />}
    </g>
  );
};
