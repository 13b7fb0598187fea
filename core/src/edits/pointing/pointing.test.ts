import { analyse, type Analysis } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import type { LinkEdge } from '../../graph';
import { apply, type Rig, type SimpleCommand } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import {
  connectBy,
  joinings,
  offeredBeside,
  offeredBetween,
  putInto,
  type Spliced,
  takeOut,
} from '.';

const done = (rig: Rig, commands: readonly SimpleCommand[]): Rig =>
  apply(rig, { type: 'batch', label: 'Pointed', commands: [...commands] });

const isRefused = (rig: Rig, command: SimpleCommand): boolean => {
  try {
    apply(rig, command);
    return false;
  } catch {
    return true;
  }
};

const joining = (rig: Rig, from: string, to: string, portId: string | null = null) => {
  const analysis = analyse(rig);
  const node = analysis.graph.devices.get(from);
  if (!node) throw new Error(`no ${from}`);
  const found = joinings(analysis, node, portId).get(to);
  if (!found) throw new Error(`no ${to}`);
  return found;
};

const edgeOf = (analysis: Analysis, linkId: string): LinkEdge => {
  const edge = analysis.graph.links.get(linkId);
  if (!edge) throw new Error(`no ${linkId}`);
  return edge;
};

const commandsOf = (spliced: Spliced): readonly SimpleCommand[] => {
  if (!spliced.can) throw new Error(spliced.why);
  return spliced.commands;
};

const DEMOS: readonly (readonly [string, Rig])[] = [
  ['Night Tide', demoRig('night-tide')],
  ['Second Firing', demoRig('second-firing')],
  ['Harbour Hall', demoRig('harbour-hall')],
];

const two = (from: string, to: string): Rig =>
  new RigDraft('Two').device('a', from).device('b', to).build();

describe('what a device can be joined with', () => {
  it('a microphone goes into an interface by its microphone input, with a balanced cable', () => {
    const found = joining(two('mic-dynamic-stage', 'interface-2'), 'a', 'b');
    if (!found.can) throw new Error(found.why);
    expect(found.ways[0]).toMatchObject({
      from: { deviceId: 'a', portId: 'out' },
      to: { deviceId: 'b' },
      cable: { kind: 'balanced' },
    });
    expect(found.ways[0].toPort).toMatchObject({ family: 'analogue', nominal: 'microphone' });
  });
  it('pointed at from the other end, what sends still sends', () => {
    const found = joining(two('interface-2', 'mic-dynamic-stage'), 'a', 'b');
    if (!found.can) throw new Error(found.why);
    expect(found.ways[0].from).toEqual({ deviceId: 'b', portId: 'out' });
  });
  it('says why not, by what is nearest to fitting', () => {
    expect(joining(two('mic-dynamic-stage', 'mic-dynamic-stage'), 'a', 'b')).toEqual({
      can: false,
      why: 'both are outputs',
    });
    expect(joining(two('mic-dynamic-stage', 'display-monitor'), 'a', 'b')).toEqual({
      can: false,
      why: 'no port of one fits a port of the other',
    });
  });
  it('says that what would fit is held', () => {
    const rig = new RigDraft('Held')
      .device('a', 'mic-dynamic-stage')
      .device('b', 'interface-2')
      .device('c', 'interface-2')
      .link('a.out', 'b.mic-1')
      .build();
    expect(joining(rig, 'a', 'c')).toEqual({
      can: false,
      why: 'every socket that would fit holds a cable already',
    });
  });
  it.each(DEMOS)('every way offered in %s can be plugged', (_name, rig) => {
    const analysis = analyse(rig);
    for (const node of analysis.graph.devices.values())
      for (const [id, found] of joinings(analysis, node, null))
        for (const way of found.can ? found.ways : [])
          expect([node.id, id, isRefused(rig, connectBy(rig, way))]).toEqual([node.id, id, false]);
  });
  it('what is refused cannot be plugged by any two ports', () => {
    const rig = demoRig('night-tide');
    const analysis = analyse(rig);
    for (const node of analysis.graph.devices.values())
      for (const [id, found] of joinings(analysis, node, null)) {
        if (found.can) continue;
        const far = analysis.graph.devices.get(id);
        for (const a of node.ports.values())
          for (const b of far?.ports.values() ?? [])
            for (const kind of ['balanced', 'hdmi', 'usb-2', 'usb-5g', 'inside'] as const)
              expect(
                isRefused(rig, {
                  type: 'connect',
                  linkId: 'tried',
                  from: { deviceId: node.id, portId: a.id },
                  to: { deviceId: id, portId: b.id },
                  cable: { kind, lengthM: kind === 'inside' ? 0 : 1 },
                }),
              ).toBe(true);
      }
  });
});

describe('dropped on empty ground', () => {
  it('a microphone is offered what takes it and nothing that cannot', () => {
    const rig = new RigDraft('One').device('mic', 'mic-dynamic-stage').build();
    const offered = offeredBeside(analyse(rig), 'mic', null);
    const classes = offered.map(({ model }) => model.classId);
    expect(classes).toContain('interface-2');
    expect(classes).not.toContain('display-monitor');
    expect(offered.every(({ takes }) => takes)).toBe(true);
  });
  it.each(DEMOS)(
    'in %s everything offered can be added and connected in one edit',
    (_name, rig) => {
      const analysis = analyse(rig);
      for (const node of [...analysis.graph.devices.values()].slice(0, 12))
        for (const { commands, deviceId } of offeredBeside(analysis, node.id, null)) {
          const after = done(rig, commands);
          expect(Object.keys(after.devices)).toContain(deviceId);
          expect(Object.keys(after.links)).toHaveLength(Object.keys(rig.links).length + 1);
        }
    },
  );
});

describe('a device put into a thread and taken out', () => {
  const chain = new RigDraft('Chain')
    .device('mic', 'mic-dynamic-stage')
    .device('interface', 'interface-2')
    .device('booster', 'booster-inline')
    .device('camera', 'camera-mirrorless')
    .link('mic.out', 'interface.mic-1', 7)
    .build();
  const [linkId = ''] = Object.keys(chain.links);

  it('the cable that was there goes on from it, a short one leads to it', () => {
    const analysis = analyse(chain);
    const after = done(chain, commandsOf(putInto(analysis, 'booster', edgeOf(analysis, linkId))));
    const ways = Object.values(after.links).map(({ from, to, cable }) => [
      from.deviceId,
      to.deviceId,
      cable.lengthM,
    ]);
    expect(ways.sort()).toEqual([
      ['booster', 'interface', 7],
      ['mic', 'booster', 1],
    ]);
  });
  it('taken out again, the rig is as it was', () => {
    const analysis = analyse(chain);
    const into = done(chain, commandsOf(putInto(analysis, 'booster', edgeOf(analysis, linkId))));
    const out = done(into, commandsOf(takeOut(analyse(into), 'booster')));
    expect(out.links).toEqual(chain.links);
    expect(out.devices).toEqual(chain.devices);
  });
  it('is moved from one thread into another in one edit', () => {
    const rig = demoRig('second-firing');
    const analysis = analyse(rig);
    const host = edgeOf(analysis, 'host-mic-out-to-interface');
    const after = done(rig, commandsOf(putInto(analysis, 'booster', host)));
    const ways = Object.values(after.links).map(
      ({ from, to }) => `${from.deviceId} ${to.deviceId}`,
    );
    for (const way of ['host-mic booster', 'booster interface', 'wheel-mic strip-1'])
      expect(ways).toContain(way);
    expect(ways).not.toContain('wheel-mic booster');
  });
  it('says why not', () => {
    const analysis = analyse(chain);
    const edge = edgeOf(analysis, linkId);
    expect(putInto(analysis, 'mic', edge)).toEqual({ can: false, why: 'the cable is its own' });
    expect(takeOut(analysis, 'mic')).toEqual({ can: false, why: 'no thread passes through it' });
    const into = analyse(done(chain, commandsOf(putInto(analysis, 'booster', edge))));
    expect(putInto(into, 'camera', edgeOf(into, linkId))).toEqual({
      can: false,
      why: 'nothing passes through it from one end of the cable to the other',
    });
  });
  it('what brings several together is not taken out', () =>
    expect(takeOut(analyse(demoRig('night-tide')), 'interface').can).toBe(false));
  it.each(DEMOS)('in %s whatever is taken out leaves its sources reaching as far', (_name, rig) => {
    const analysis = analyse(rig);
    for (const node of analysis.graph.devices.values()) {
      const out = takeOut(analysis, node.id);
      if (!out.can) continue;
      const after = analyse(done(rig, out.commands));
      const ends = (of: Analysis) =>
        new Set(
          of.traced.threads
            .filter(({ source, end }) => source.device.id !== node.id && end.device.id !== node.id)
            .map(({ source, end }) => `${source.device.id} ${end.device.id}`),
        );
      // What it turned off or left out may be heard now; nothing is lost.
      for (const way of ends(analysis))
        expect([node.id, way, ends(after).has(way)]).toEqual([node.id, way, true]);
    }
  });
  it.each(DEMOS)('in %s every class offered between can be put there', (_name, rig) => {
    const analysis = analyse(rig);
    for (const edge of [...analysis.graph.links.values()].slice(0, 10))
      for (const { commands, deviceId } of offeredBetween(analysis, edge)) {
        const after = done(rig, commands);
        const ends = Object.values(after.links).filter(
          ({ from, to }) => from.deviceId === deviceId || to.deviceId === deviceId,
        );
        expect(ends).toHaveLength(2);
      }
  });
});
