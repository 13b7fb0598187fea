import type { Analysis } from '@echo-loom/core';
import { layOut } from '@/layout/layout';

const NOTHING_FOLDED: ReadonlySet<string> = new Set();
/** Most shapes drawn in a small picture. */
const SHOWN = 300;

/** A small picture of a rig: its loom without words. */
export const RigPicture = ({ analysis }: { readonly analysis: Analysis }) => {
  const layout = layOut(analysis, null, NOTHING_FOLDED);
  return (
    <svg
      viewBox={`0 20 ${Math.max(layout.width, 500)} ${Math.max(layout.height - 20, 220)}`}
      width="100%"
      height="104"
      preserveAspectRatio="xMinYMid meet"
      aria-hidden
    >
      {layout.strands.slice(0, SHOWN).map((strand) => {
        const isPicture = strand.family === 'picture';
        const colour = isPicture ? 'picture' : strand.family === 'analogue' ? 'analogue' : 'data';
        return (
          <path
            key={strand.linkId}
            d={`M${strand.x1} ${strand.y1}H${strand.bendX}L${strand.x2} ${strand.y2}`}
            fill="none"
            stroke={`var(--chakra-colors-thread-${colour})`}
            strokeWidth={isPicture ? 7 : 4}
          />
        );
      })}
      {layout.nodes.slice(0, SHOWN).map((node) => (
        <rect
          key={node.key}
          x={node.x}
          y={node.y}
          width={node.width}
          height={node.height}
          rx="4"
          fill="var(--chakra-colors-paper-deep)"
          stroke="var(--chakra-colors-rule-strong)"
          strokeWidth="2.5"
        />
      ))}
    </svg>
  );
};
