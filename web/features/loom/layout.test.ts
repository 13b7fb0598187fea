import {
  analyse,
  type Analysis,
  apply,
  build,
  type Rig,
  RigDraft,
  STARTING_POINTS,
  type StartingPoint,
} from '@echo-loom/core';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { layOut } from './layout';
import type { LoomLayout, LoomNode } from './parts';
import { rowsOf } from './rows';
import { PEG_WIDTH, READING_WIDTH } from './sizes';
import { isLaidOutAlike } from './useLayout';
import { walk } from './walk';

const made = (point: StartingPoint): Rig => {
  const built = build(point.answers(point.name));
  if (!built.ok) throw new Error(built.why);
  return built.rig;
};

const NOTHING_FOLDED: ReadonlySet<string> = new Set();
const laid = (
  rig: Rig,
  wish: 'owner' | 'family' | null = null,
  folded = NOTHING_FOLDED,
): LoomLayout => layOut(analyse(rig), wish, folded);
const RIGS: readonly (readonly [string, Rig])[] = [
  ['Night Tide', nightTide()],
  ['Second Firing', secondFiring()],
  ...STARTING_POINTS.map((point) => [point.name, made(point)] as const),
];
const both = RIGS.flatMap(([name, rig]) =>
  (['owner', 'family'] as const).map((wish) => [`${name} by ${wish}`, rig, wish] as const),
);

const overlap = (a: LoomNode, b: LoomNode): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
const nodeOf = (layout: LoomLayout, id: string): LoomNode => {
  const found = layout.nodes.find(({ deviceId, shape }) => deviceId === id && shape !== 'return');
  if (!found) throw new Error(`${id} is not on the loom`);
  return found;
};

describe.each(both)('%s', (_name, rig, wish) => {
  const layout = laid(rig, wish);
  it('shows every device once', () =>
    expect(
      layout.nodes
        .filter(({ shape }) => shape !== 'return')
        .map(({ deviceId }) => deviceId)
        .sort(),
    ).toEqual(Object.keys(rig.devices).sort()));
  it('shows every cable once', () =>
    expect(layout.strands.map(({ linkId }) => linkId).sort()).toEqual(
      Object.keys(rig.links).sort(),
    ));
  it('draws no device on top of another', () => {
    for (const [index, a] of layout.nodes.entries())
      for (const b of layout.nodes.slice(index + 1))
        expect([a.key, b.key, overlap(a, b)]).toEqual([a.key, b.key, false]);
  });
  it('keeps everything inside the chart', () => {
    for (const { key, x, y, width, height } of layout.nodes)
      expect([
        key,
        x >= 0 && y >= 0 && x + width <= layout.width && y + height <= layout.height,
      ]).toEqual([key, true]);
  });
  it('runs every thread from left to right', () => {
    for (const { linkId, x1, x2 } of layout.strands)
      expect([linkId, x2 > x1]).toEqual([linkId, true]);
  });
  it('leaves a reading its room before the next device', () => {
    for (const strand of layout.strands) {
      const meets = layout.nodes.filter(
        (node) =>
          node.x < strand.x1 + 4 + READING_WIDTH &&
          node.x + node.width > strand.x1 + 4 &&
          node.y < strand.y1 + 12 &&
          node.y + node.height > strand.y1 - 12,
      );
      expect([strand.linkId, meets.map(({ key }) => key)]).toEqual([strand.linkId, []]);
    }
  });
  it('bridges every device a thread passes and does not serve', () => {
    for (const strand of layout.strands) {
      const passed = layout.nodes.filter(
        ({ key, x, y, width, height }) =>
          key !== strand.fromKey &&
          key !== strand.toKey &&
          x >= strand.x1 &&
          x + width <= Math.min(strand.bendX, strand.x2) &&
          strand.y1 > y &&
          strand.y1 < y + height,
      );
      for (const node of passed)
        expect([strand.linkId, node.key, strand.bridges.some(({ x }) => x === node.x)]).toEqual([
          strand.linkId,
          node.key,
          true,
        ]);
    }
  });
  it('keeps readings on different rows apart', () => {
    for (const [index, a] of layout.strands.entries())
      for (const b of layout.strands.slice(index + 1))
        if (Math.abs(a.x1 - b.x1) < READING_WIDTH)
          expect([a.linkId, b.linkId, Math.abs(a.y1 - b.y1) >= 12]).toEqual([
            a.linkId,
            b.linkId,
            true,
          ]);
  });
});

describe('the loom', () => {
  it('stands columns in the order of the chain', () => {
    const layout = laid(secondFiring());
    expect(layout.columns.map(({ title }) => title).filter(Boolean)).toEqual([
      'Source',
      'Lift',
      'Shape',
      'Combine',
      'Take in',
      'Make',
      'Deliver',
      'Hear and see',
    ]);
    expect(nodeOf(layout, 'host-mic').x).toBeLessThan(nodeOf(layout, 'booster').x);
    expect(nodeOf(layout, 'booster').x).toBeLessThan(nodeOf(layout, 'strip-1').x);
  });
  it('draws what serves one thread as a peg and what serves several as a bar', () => {
    const layout = laid(nightTide());
    expect(nodeOf(layout, 'host-mic')).toMatchObject({ shape: 'peg', width: PEG_WIDTH });
    expect(nodeOf(layout, 'interface').shape).toBe('bar');
  });
  it('takes the grouping that bridges less where nobody chose one', () => {
    for (const [, rig] of RIGS)
      expect(laid(rig).bridged).toBe(
        Math.min(laid(rig, 'owner').bridged, laid(rig, 'family').bridged),
      );
  });
  it('puts a way back to a caller at the right, named again', () => {
    const layout = laid(secondFiring());
    const back = layout.nodes.find(({ shape }) => shape === 'return');
    expect(back?.deviceId).toBe('historian-call');
    expect(back?.x).toBeGreaterThan(nodeOf(layout, 'historian-call').x);
  });
  it('folds a group into one peg and keeps its cables', () => {
    const open = laid(secondFiring(), 'owner');
    const group = open.groups.find(({ size }) => size > 1);
    if (!group) throw new Error('no group to fold');
    const folded = laid(secondFiring(), 'owner', new Set([group.id]));
    expect(folded.nodes.find(({ folds }) => folds)?.folds).toBe(group.size);
    expect(folded.strands).toHaveLength(open.strands.length);
    expect(folded.height).toBeLessThan(open.height);
  });
  it('gives a device nobody has connected a group of its own', () => {
    const rig = new RigDraft('Case').device('screen', 'display-monitor').build();
    expect(laid(rig).groups.map(({ name }) => name)).toEqual(['Not connected']);
  });
  it('moves nothing when only a figure changes', () => {
    const rig = nightTide();
    const louder = apply(rig, {
      type: 'setControl',
      deviceId: 'interface',
      control: 'gain-1',
      value: 30,
    });
    expect(laid(louder)).toEqual(laid(rig));
  });
  it('is kept for a new gain and made anew for a new name, owner or cable', () => {
    const rig = nightTide();
    expect(
      isLaidOutAlike(
        rig,
        apply(rig, { type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 30 }),
      ),
    ).toBe(true);
    expect(
      isLaidOutAlike(rig, apply(rig, { type: 'renameDevice', deviceId: 'phone', name: 'Tablet' })),
    ).toBe(false);
    expect(
      isLaidOutAlike(
        rig,
        apply(rig, { type: 'assignDevice', deviceId: 'phone', personId: 'host', placeId: null }),
      ),
    ).toBe(false);
    expect(
      isLaidOutAlike(rig, apply(rig, { type: 'disconnect', linkId: 'phone-usb-to-computer' })),
    ).toBe(false);
    expect(isLaidOutAlike(rig, apply(rig, { type: 'removeDevice', deviceId: 'host-phones' }))).toBe(
      false,
    );
  });
  it('grows by rows, not by their square', () => {
    const many = (count: number): Rig => {
      const draft = new RigDraft('Many').person('host', 'Host');
      for (let n = 0; n < count; n++)
        draft
          .device(`mic-${n}`, 'mic-dynamic-stage', { person: 'host' })
          .device(`recorder-${n}`, 'recorder-sound')
          .link(`mic-${n}.out`, `recorder-${n}.mic-1`);
      return draft.build();
    };
    const rise = laid(many(40)).height - laid(many(20)).height;
    expect(laid(many(80)).height - laid(many(40)).height).toBe(2 * rise);
  });
});

describe('rows', () => {
  const analysis: Analysis = analyse(secondFiring());
  it('group sources by person, then place, then what is shared', () => {
    const names = rowsOf(analysis, 'owner', new Set()).map(({ name }) => name);
    expect(names.slice(0, 3)).toEqual(['Host', 'Co-host', 'Guest potter']);
    expect(names.at(-1)).toBe('Shared');
  });
  it('or by what they send', () =>
    expect(rowsOf(analysis, 'family', new Set()).map(({ name }) => name)).toEqual([
      'Pictures',
      'Sound',
    ]));
});

describe('walking with the arrows', () => {
  const layout = laid(nightTide());
  const mic = { kind: 'device', id: 'host-mic' } as const;
  it('goes along a thread, device to cable to device, and back', () => {
    const cable = walk(layout, mic, 'right');
    expect(cable).toEqual({ kind: 'link', id: 'host-mic-out-to-interface' });
    expect(cable && walk(layout, cable, 'right')).toEqual({ kind: 'device', id: 'interface' });
    expect(cable && walk(layout, cable, 'left')).toEqual(mic);
  });
  it('goes across threads to the next row and stops at the edge', () => {
    const column = layout.nodes
      .filter((node) => node.column === nodeOf(layout, 'host-mic').column)
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
