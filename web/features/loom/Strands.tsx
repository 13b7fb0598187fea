import type { PortFamily } from '@echo-loom/core';
import styles from './loom.module.css';
import type { LoomStrand } from './parts';

const COLOURS: Readonly<Record<PortFamily, string>> = {
  picture: 'thread-picture',
  analogue: 'thread-analogue',
  'digital sound': 'thread-digital',
  usb: 'thread-data',
  network: 'thread-data',
  software: 'thread-data',
};

const BRIDGE_RISE = 9;

/** Straight along the row, hopping over what it does not serve, then a bend into its port. */
const pathOf = ({ x1, y1, x2, y2, bendX, bridges }: LoomStrand): string => {
  const hops = [...bridges]
    .sort((a, b) => a.x - b.x)
    .map(
      ({ x, width }) =>
        `H${x - 10} q4 0 6 ${-BRIDGE_RISE} H${x + width + 4} q2 ${BRIDGE_RISE} 6 ${BRIDGE_RISE}`,
    )
    .join(' ');
  if (Math.abs(y1 - y2) < 0.5) return `M${x1} ${y1} ${hops} H${x2}`;
  const middle = (bendX + x2) / 2;
  return `M${x1} ${y1} ${hops} H${bendX} C${middle} ${y1} ${middle} ${y2} ${x2} ${y2}`;
};

const strokes = (family: PortFamily): { width: number; dash?: string; double?: boolean } => {
  switch (family) {
    case 'picture':
      return { width: 4 };
    case 'analogue':
      return { width: 1.8 };
    case 'digital sound':
      return { width: 5, double: true };
    case 'usb':
    case 'network':
      return { width: 2.2, dash: '8 4' };
    case 'software':
      return { width: 1.6, dash: '3 3' };
  }
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
        const { width: stroke, dash, double } = strokes(strand.family);
        const d = pathOf(strand);
        const colour =
          strand.linkId === selectedLink
            ? 'var(--chakra-colors-madder)'
            : `var(--chakra-colors-${isDim(strand) ? 'rule' : COLOURS[strand.family]})`;
        return (
          <g key={strand.linkId} fill="none">
            <path d={d} stroke="var(--chakra-colors-paper)" strokeWidth={stroke + 5} />
            <path d={d} stroke={colour} strokeWidth={stroke} strokeDasharray={dash} />
            {double && <path d={d} stroke="var(--chakra-colors-paper)" strokeWidth={stroke - 3} />}
          </g>
        );
      })}
  </svg>
);
