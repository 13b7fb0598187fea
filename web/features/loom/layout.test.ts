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
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { layOut } from '@/layout/layout';
import type { LoomLayout, LoomNode } from '@/layout/parts';
import { rowsOf } from '@/layout/rows';
import { PEG_WIDTH, READING_WIDTH } from '@/layout/sizes';
import { isLaidOutAlike } from './useLayout';

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
  ['Harbour Hall', harbourHall()],
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
    ).toEqual(
      Object.keys(rig.devices)
        // Lamps carry no signal.
        .filter((id) => rig.devices[id]?.model.light === undefined)
        .sort(),
    ));
  it('shows every cable once', () =>
    expect(layout.strands.map(({ linkId }) => linkId).sort()).toEqual(
      Object.keys(rig.links).sort(),
    ));
  it('draws no device on top of another', () => {
    const over = layout.nodes.flatMap((a, index) =>
      layout.nodes
        .slice(index + 1)
        .flatMap((b) => (overlap(a, b) ? [`${a.key} and ${b.key}`] : [])),
    );
    expect(over).toEqual([]);
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
  it('lets every thread leave its box and enter its box, each at a height of its own', () => {
    const byKey = new Map(layout.nodes.map((node) => [node.key, node]));
    const ports = new Set<string>();
    for (const { linkId, fromKey, toKey, x1, y1, x2, y2 } of layout.strands) {
      const [from, to] = [byKey.get(fromKey), byKey.get(toKey)];
      if (!from || !to) throw new Error(`${linkId} ends in the air`);
      expect([linkId, x1 === from.x + from.width && x2 === to.x]).toEqual([linkId, true]);
      expect([linkId, y1 >= from.y && y1 <= from.y + from.height]).toEqual([linkId, true]);
      expect([linkId, y2 >= to.y && y2 <= to.y + to.height]).toEqual([linkId, true]);
      for (const port of [`out ${fromKey} ${y1}`, `in ${toKey} ${y2}`]) {
        expect([linkId, port, ports.has(port)]).toEqual([linkId, port, false]);
        ports.add(port);
      }
    }
  });
  it('draws no two threads over each other', () => {
    const over = layout.strands.flatMap((a, index) =>
      layout.strands
        .slice(index + 1)
        .filter((b) => Math.abs(a.y1 - b.y1) < 6 && a.x1 < b.bendX && b.x1 < a.bendX)
        .map((b) => `${a.linkId} and ${b.linkId}`),
    );
    expect(over).toEqual([]);
  });
  it('keeps readings on different rows apart', () => {
    const near = layout.strands.flatMap((a, index) =>
      layout.strands
        .slice(index + 1)
        .filter((b) => Math.abs(a.x1 - b.x1) < READING_WIDTH && Math.abs(a.y1 - b.y1) < 12)
        .map((b) => `${a.linkId} and ${b.linkId}`),
    );
    expect(near).toEqual([]);
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
  it('folds a group into one box, with one line to each device its cables lead to', () => {
    const open = laid(secondFiring(), 'family');
    const folded = laid(secondFiring(), 'family', new Set(['sound']));
    const box = folded.nodes.find(({ folds }) => folds);
    expect(box?.folds).toBe(4);
    // What carries one source onward is inside as well: the booster and both strips.
    expect([...(box?.members ?? [])].sort()).toEqual(
      ['booster', 'cohost-mic', 'host-mic', 'potter-mic', 'strip-1', 'strip-2', 'wheel-mic'].sort(),
    );
    const out = folded.strands.filter(({ fromKey }) => fromKey === 'group:sound');
    expect(out.map(({ toKey, linkIds }) => [toKey, linkIds.length])).toEqual([['interface', 4]]);
    expect(folded.height).toBeLessThan(open.height);
  });
  it('knows how far the row of a source goes straight on, past the pegs on it', () => {
    const layout = laid(secondFiring());
    expect(nodeOf(layout, 'wheel-mic').rowEnd).toBe(nodeOf(layout, 'interface').x);
    expect(nodeOf(layout, 'host-camera').rowEnd).toBe(nodeOf(layout, 'switcher').x);
    expect(nodeOf(layout, 'interface').rowEnd).toBeUndefined();
  });
  it('draws only what it is asked for, and every thread of it', () => {
    const analysis = analyse(secondFiring());
    const links = new Set(['host-mic-out-to-interface']);
    const devices = new Set(['host-mic', 'interface']);
    const layout = layOut(analysis, null, NOTHING_FOLDED, { devices, links });
    expect(layout.nodes.map(({ key }) => key).sort()).toEqual(['host-mic', 'interface']);
    expect(layout.strands.map(({ linkId }) => linkId)).toEqual(['host-mic-out-to-interface']);
    expect(layout.columns).toHaveLength(2);
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
