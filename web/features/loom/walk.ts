import type { LoomLayout } from '@/layout/parts';
import type { Item } from '@/features/chosen/view';

type Direction = 'left' | 'right' | 'up' | 'down';

interface Spot {
  readonly item: Item;
  readonly column: number;
  readonly y: number;
}

const nearest = (spots: readonly Spot[], y: number): Item | null =>
  spots.reduce<Spot | null>(
    (best, spot) => (best === null || Math.abs(spot.y - y) < Math.abs(best.y - y) ? spot : best),
    null,
  )?.item ?? null;

const nodeSpots = (layout: LoomLayout): Spot[] =>
  layout.nodes
    .filter((node) => node.shape !== 'return')
    .map((node) => ({
      item: { kind: 'device', id: node.deviceId },
      column: node.column,
      y: node.y + node.height / 2,
    }));

/**
 * The next item in a direction: along threads to the left and right, device to cable to device;
 * across threads up and down.
 * @returns null at the edge
 */
export const walk = (layout: LoomLayout, from: Item, direction: Direction): Item | null => {
  const nodes = nodeSpots(layout);
  const columnOf = new Map(layout.nodes.map((node) => [node.key, node.column]));
  const links: Spot[] = layout.strands.map((strand) => ({
    item: { kind: 'link', id: strand.linkId },
    column: columnOf.get(strand.fromKey) ?? 0,
    y: strand.y1,
  }));
  const all = from.kind === 'device' ? nodes : links;
  const here = all.find((spot) => spot.item.id === from.id);
  if (!here) return nodes[0]?.item ?? null;
  if (direction === 'up' || direction === 'down') {
    const beyond = all.filter(
      (spot) =>
        spot.column === here.column && (direction === 'up' ? spot.y < here.y : spot.y > here.y),
    );
    return nearest(beyond, here.y);
  }
  if (from.kind === 'link') {
    const strand = layout.strands.find(({ linkId }) => linkId === from.id);
    const node = layout.nodes.find(
      ({ key }) => key === (direction === 'right' ? strand?.toKey : strand?.fromKey),
    );
    return node ? { kind: 'device', id: node.deviceId } : null;
  }
  const own = new Set(
    layout.nodes.filter((node) => node.deviceId === from.id).map(({ key }) => key),
  );
  const along = layout.strands.filter((strand) =>
    own.has(direction === 'right' ? strand.fromKey : strand.toKey),
  );
  return nearest(
    along.map((strand) => ({ item: { kind: 'link', id: strand.linkId }, column: 0, y: strand.y1 })),
    here.y,
  );
};
