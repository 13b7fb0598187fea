import { keyOf } from './marks';
import type { LoomLayout, LoomNode, LoomStrand } from '@/layout/parts';

/** A part of the chart that is drawn as a whole, and stays as it is while the rest scrolls. @unit px */
export interface Tile {
  readonly key: string;
  /** Room that what is in it takes */
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly nodes: readonly LoomNode[];
  /** Threads whose reading stands in it */
  readonly strands: readonly LoomStrand[];
  /** Keys of everything in it that can be chosen */
  readonly items: ReadonlySet<string>;
}

/** Small enough that one more is soon drawn. @unit px */
const TILE = 220;

/** So far each column of tiles is set off from the one before, so that a row of them never comes into sight at once. */
const STAGGER = 0.38;

/** The chart in tiles: each box and each reading stands in exactly one. */
export const tilesOf = ({ nodes, strands }: LoomLayout): readonly Tile[] => {
  const found = new Map<string, { nodes: LoomNode[]; strands: LoomStrand[] }>();
  const at = (x: number, y: number) => {
    const column = Math.floor(x / TILE);
    const key = `${column} ${Math.floor(y / TILE + column * STAGGER)}`;
    const known = found.get(key);
    if (known) return known;
    const made = { nodes: [], strands: [] };
    found.set(key, made);
    return made;
  };
  for (const node of nodes) at(node.x, node.y).nodes.push(node);
  for (const strand of strands) at(strand.x1, strand.y1).strands.push(strand);

  return [...found].map(([key, tile]): Tile => {
    const xs = [
      ...tile.nodes.flatMap(({ x, width, rowEnd }) => [x, rowEnd ?? x + width]),
      ...tile.strands.map(({ x1 }) => x1),
    ];
    const ys = [
      ...tile.nodes.flatMap(({ y, height }) => [y, y + height]),
      ...tile.strands.map(({ y1 }) => y1),
    ];
    return {
      key,
      left: Math.min(...xs),
      top: Math.min(...ys),
      right: Math.max(...xs),
      bottom: Math.max(...ys),
      ...tile,
      items: new Set([
        ...tile.nodes.map(({ deviceId }) => keyOf({ kind: 'device', id: deviceId })),
        ...tile.strands.map(({ linkId }) => keyOf({ kind: 'link', id: linkId })),
      ]),
    };
  });
};
