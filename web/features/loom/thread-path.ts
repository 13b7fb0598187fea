import type { LoomStrand } from '@/layout/parts';

const BRIDGE_RISE = 9;

/** Straight along the row, hopping over what it does not serve, then a bend into its port. */
export const pathOf = ({ x1, y1, x2, y2, bendX, bridges }: LoomStrand): string => {
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
