import { analyse } from '@echo-loom/core';
import { nightTide } from '../../../demo/night-tide';
import { layOut } from '@/layout/layout';
import type { LoomNode } from '@/layout/parts';
import { walk } from './walk';

describe('walking with the arrows', () => {
  const layout = layOut(analyse(nightTide()), null, new Set());
  const nodeOf = (id: string): LoomNode => {
    const found = layout.nodes.find(({ deviceId }) => deviceId === id);
    if (!found) throw new Error(`${id} is not on the loom`);
    return found;
  };
  const mic = { kind: 'device', id: 'host-mic' } as const;
  it('goes along a thread, device to cable to device, and back', () => {
    const cable = walk(layout, mic, 'right');
    expect(cable).toEqual({ kind: 'link', id: 'host-mic-out-to-interface' });
    expect(cable && walk(layout, cable, 'right')).toEqual({ kind: 'device', id: 'interface' });
    expect(cable && walk(layout, cable, 'left')).toEqual(mic);
  });
  it('goes across threads to the next row and stops at the edge', () => {
    const column = layout.nodes
      .filter((node) => node.column === nodeOf('host-mic').column)
      .sort((a, b) => a.y - b.y)
      .map(({ deviceId }) => deviceId);
    const visited: string[] = [];
    for (
      let at = walk(layout, { kind: 'device', id: column[0] ?? '' }, 'down');
      at;
      at = walk(layout, at, 'down')
    )
      visited.push(at.id);
    expect(visited).toEqual(column.slice(1));
    expect(walk(layout, { kind: 'device', id: column[0] ?? '' }, 'up')).toBeNull();
    expect(walk(layout, mic, 'left')).toBeNull();
  });
  it('starts at the first device where what was selected is gone', () =>
    expect(walk(layout, { kind: 'device', id: 'removed' }, 'right')).toEqual({
      kind: 'device',
      id: layout.nodes[0]?.deviceId,
    }));
  it('reaches every device of the rig', () => {
    const reached = new Set<string>(['host-mic']);
    const open = [{ kind: 'device', id: 'host-mic' } as NonNullable<ReturnType<typeof walk>>];
    const seen = new Set<string>();
    for (let at = open.pop(); at; at = open.pop()) {
      if (seen.has(`${at.kind} ${at.id}`)) continue;
      seen.add(`${at.kind} ${at.id}`);
      if (at.kind === 'device') reached.add(at.id);
      for (const direction of ['left', 'right', 'up', 'down'] as const) {
        const next = walk(layout, at, direction);
        if (next) open.push(next);
      }
    }
    expect([...reached].sort()).toEqual(layout.nodes.map(({ deviceId }) => deviceId).sort());
  });
});
