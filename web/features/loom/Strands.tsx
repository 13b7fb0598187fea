import type { PortFamily } from '@echo-loom/core';
import styles from './loom.module.css';
import { STROKES } from './lines';
import type { LoomStrand } from './parts';
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
      .map((strand) => {
        const { width: stroke, dash, isDouble } = STROKES[strand.family];
        const d = pathOf(strand);
        const colour =
          strand.linkId === selectedLink
            ? 'var(--chakra-colors-madder)'
            : `var(--chakra-colors-${isDim(strand) ? 'rule' : COLOURS[strand.family]})`;
        return (
          <g key={strand.linkId} fill="none">
            <path d={d} stroke="var(--chakra-colors-paper)" strokeWidth={stroke + 5} />
            <path d={d} stroke={colour} strokeWidth={stroke} strokeDasharray={dash} />
            {isDouble && (
              <path d={d} stroke="var(--chakra-colors-paper)" strokeWidth={stroke - 3} />
            )}
          </g>
        );
      })}
  </svg>
);
