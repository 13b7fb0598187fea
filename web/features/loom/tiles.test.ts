import { analyse, type Rig } from '@echo-loom/core';
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { layOut } from '@/layout/layout';
import { keyOf } from './marks';
import { tilesOf } from './tiles';

describe.each<readonly [string, Rig]>([
  ['Night Tide', nightTide()],
  ['Second Firing', secondFiring()],
  ['Harbour Hall', harbourHall()],
])('the tiles of %s', (_name, rig) => {
  const layout = layOut(analyse(rig), null, new Set());
  const tiles = tilesOf(layout);
  it('hold every box and every reading once', () => {
    expect(tiles.flatMap(({ nodes }) => nodes.map(({ key }) => key)).sort()).toEqual(
      layout.nodes.map(({ key }) => key).sort(),
    );
    expect(tiles.flatMap(({ strands }) => strands.map(({ linkId }) => linkId)).sort()).toEqual(
      layout.strands.map(({ linkId }) => linkId).sort(),
    );
  });
  it('say how much room what is in them takes, and what can be chosen there', () => {
    for (const { left, top, right, bottom, nodes, strands, items } of tiles) {
      for (const { x, y, width, height, deviceId } of nodes) {
        expect([x >= left, y >= top, x + width <= right, y + height <= bottom]).toEqual([
          true,
          true,
          true,
          true,
        ]);
        expect(items.has(keyOf({ kind: 'device', id: deviceId }))).toBe(true);
      }
      for (const { x1, y1, linkId } of strands) {
        expect([x1 >= left, x1 <= right, y1 >= top, y1 <= bottom]).not.toContain(false);
        expect(items.has(keyOf({ kind: 'link', id: linkId }))).toBe(true);
      }
    }
  });
});
