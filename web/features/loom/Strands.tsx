import type { PortFamily } from '@echo-loom/core';
import { memo } from 'react';
import styles from './loom.module.css';
import { STROKES } from './lines';
import type { LoomStrand } from '@/layout/parts';
import { pathOf } from './thread-path';

const COLOURS: Readonly<Record<PortFamily, string>> = {
  picture: 'thread-picture',
  analogue: 'thread-analogue',
  'digital sound': 'thread-digital',
  usb: 'thread-data',
  network: 'thread-data',
  software: 'thread-data',
};

interface Props {
  readonly strands: readonly LoomStrand[];
  readonly width: number;
  readonly height: number;
  readonly selectedLink: string | null;
  /** Threads beside the chosen one are drawn pale */
  readonly isDim: (strand: LoomStrand) => boolean;
  /** Bridges are drawn over the bars they pass, everything else behind */
  readonly layer: 'behind' | 'bridges';
}

interface StrandProps {
  readonly strand: LoomStrand;
  readonly isSelected: boolean;
  readonly isDim: boolean;
}

/** One thread. Drawn once, however far the chart is scrolled. */
const Strand = memo(function Strand({ strand, isSelected, isDim }: StrandProps) {
  const { width, dash, isDouble } = STROKES[strand.family];
  const d = pathOf(strand);
  const name = isSelected ? 'madder' : isDim ? 'rule' : COLOURS[strand.family];
  return (
    <g fill="none">
      <path d={d} stroke="var(--chakra-colors-paper)" strokeWidth={width + 5} />
      <path
        d={d}
        stroke={`var(--chakra-colors-${name})`}
        strokeWidth={width}
        strokeDasharray={dash}
      />
      {isDouble && <path d={d} stroke="var(--chakra-colors-paper)" strokeWidth={width - 3} />}
    </g>
  );
});

/** The threads: picture solid and thick, analogue sound single, digital sound double, data dashed. */
export const Strands = ({ strands, width, height, selectedLink, isDim, layer }: Props) => (
  <svg
    className={styles.threads}
    width={width}
    height={height}
    aria-hidden
    style={layer === 'bridges' ? { zIndex: 3 } : undefined}
  >
    {strands
      .filter((strand) => strand.bridges.length > 0 === (layer === 'bridges'))
      .map((strand) => (
        <Strand
          key={strand.linkId}
          strand={strand}
          isSelected={strand.linkId === selectedLink}
          isDim={isDim(strand)}
        />
      ))}
  </svg>
);
