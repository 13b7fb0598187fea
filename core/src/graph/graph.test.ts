import { RigDraft } from '../catalogue/draft';
import { apply, entry, type Rig } from '../rig';
import { mustHave } from '../rig/order';
import { voice } from '../rules/rigs-for-cases';
import { compile, stagesOf, type Thread, trace, type Traced } from './index';

const traceOf = (rig: Rig): Traced =>
  trace(compile(rig), ({ id }) => mustHave(entry(rig.devices, id), new Error(id)));

const threads = (rig: Rig): readonly Thread[] => traceOf(rig).threads;
const ways = (rig: Rig): string[] => threads(rig).map(({ id }) => id);
const names = (thread: Thread | undefined): string[] =>
  thread ? [...new Set(stagesOf(thread.last).map((stage) => stage.at.device.id))] : [];

describe('compiling', () => {
  it('resolves every link to the ports at its ends', () => {
    const graph = compile(voice().build());
    const edge = graph.links.get('mic-out-to-interface');
    expect([edge?.from.device.id, edge?.from.id, edge?.to.device.id, edge?.to.id]).toEqual([
      'mic',
      'out',
      'interface',
      'mic-1',
    ]);
    expect(edge?.from.links).toEqual([edge]);
    expect(edge?.to.links).toEqual([edge]);
  });
  it('keeps devices in the order they were added, whatever their ids', () => {
    const rig = new RigDraft('Case').device('zebra', 'webcam').device('apple', 'webcam').build();
    expect([...compile(rig).devices.keys()]).toEqual(['zebra', 'apple']);
  });
  it('finds a port by its id, and no port that only an object would have', () => {
    const ports = compile(voice().build()).devices.get('mic')?.ports;
    expect(ports?.get('out')?.port.name).toBe('Output');
    expect(ports?.get('toString')).toBeUndefined();
  });
  it('numbers ports without a gap', () =>
    compile(voice().build()).ports.forEach(({ index }, position) => expect(index).toBe(position)));
  it('an unplugged port has no links', () =>
    expect(compile(voice().build()).devices.get('interface')?.ports.get('mic-2')?.links).toEqual(
      [],
    ));
});

describe('tracing', () => {
  it('follows a voice through interface and computer to its file', () => {
    const found = threads(voice().build()).filter(({ signal }) => signal === 'sound');
    expect(names(found.find(({ end }) => end.device.id === 'tracks'))).toEqual([
      'mic',
      'interface',
      'computer',
      'tracks',
    ]);
  });
  it('numbers stages so that a parent always stands before its children', () => {
    const { stages } = traceOf(voice().build());
    stages.forEach((stage, position) => {
      expect(stage.index).toBe(position);
      if (stage.parent) expect(stage.parent.index).toBeLessThan(stage.index);
    });
  });
  it('goes both ways over one USB link: the voice up, the caller down', () => {
    const rig = voice()
      .device('phones', 'headphones-closed')
      .device('caller', 'call')
      .link('interface.phones-1', 'phones.in')
      .link('caller.receive', 'computer.call-in')
      .link('computer.call-out', 'caller.send')
      .build();
    expect(ways(rig)).toContain('sound:caller.receive>phones.in');
    expect(ways(rig)).toContain('sound:mic.out>caller.send');
  });
  it('never passes the same port twice on one way', () => {
    const rig = voice()
      .device('caller', 'call')
      .link('caller.receive', 'computer.call-in')
      .link('computer.call-out', 'caller.send')
      .build();
    for (const thread of threads(rig)) {
      const ports = stagesOf(thread.last).map(({ at }) => at.index);
      expect(new Set(ports).size).toBe(ports.length);
    }
  });
  it('closes a route whose control stands elsewhere', () => {
    const draft = new RigDraft('Case')
      .device('one', 'camera-camcorder')
      .device('two', 'camera-camcorder')
      .device('selector', 'selector-hdmi-4')
      .device('screen', 'display-monitor');
    const rig = draft
      .link('one.hdmi', 'selector.in-1')
      .link('two.hdmi', 'selector.in-2')
      .link('selector.out', 'screen.in')
      .build();
    expect(ways(rig)).toEqual(['picture:one.hdmi>screen.in']);
    expect(
      ways(
        apply(rig, { type: 'setControl', deviceId: 'selector', control: 'selected', value: '2' }),
      ),
    ).toEqual(['picture:two.hdmi>screen.in']);
  });
  it('sends a picture copied by a splitter to both places, each a thread of its own', () => {
    const rig = new RigDraft('Case')
      .device('camera', 'camera-camcorder')
      .device('split', 'splitter-hdmi-2')
      .device('a', 'display-monitor')
      .device('b', 'display-monitor')
      .link('camera.hdmi', 'split.in')
      .link('split.out-1', 'a.in')
      .link('split.out-2', 'b.in')
      .build();
    expect(ways(rig)).toEqual(['picture:camera.hdmi>a.in', 'picture:camera.hdmi>b.in']);
  });
  it('names a second way to the same end', () => {
    const rig = new RigDraft('Case')
      .device('camera', 'camera-camcorder')
      .device('split', 'splitter-hdmi-2')
      .device('mix', 'switcher-4')
      .device('screen', 'display-monitor')
      .link('camera.hdmi', 'split.in')
      .link('split.out-1', 'mix.in-1')
      .link('split.out-2', 'mix.in-2')
      .link('mix.programme', 'screen.in')
      .build();
    expect(ways(rig)).toEqual(['picture:camera.hdmi>screen.in', 'picture:camera.hdmi>screen.in#2']);
  });
  it('follows at most four ways into a port and says where it stopped', () => {
    const draft = new RigDraft('Case')
      .device('camera', 'camera-studio')
      .device('first', 'splitter-sdi-4')
      .device('second', 'splitter-sdi-4')
      .device('mix', 'switcher-20')
      .device('rec', 'converter-sdi-hdmi')
      .device('screen', 'display-monitor');
    draft.link('camera.sdi', 'first.in').link('first.out-4', 'second.in');
    for (let n = 1; n <= 3; n++)
      draft.link(`first.out-${n}`, `mix.in-${n}`).link(`second.out-${n}`, `mix.in-${n + 3}`);
    const traced = traceOf(
      draft.link('mix.programme', 'rec.in').link('rec.out', 'screen.in').build(),
    );
    expect(traced.threads.filter(({ end }) => end.device.id === 'screen')).toHaveLength(4);
    expect([...traced.cut].map(({ device }) => device.id)).toContain('mix');
  });
  it('says which sources are lost', () => {
    const rig = new RigDraft('Case')
      .device('camera', 'camera-camcorder')
      .device('capture', 'capture-5g')
      .link('camera.hdmi', 'capture.in')
      .build();
    expect(
      traceOf(rig).lost.map(({ source, signal }) => `${signal} ${source.device.id}.${source.id}`),
    ).toContain('picture camera.hdmi');
  });
  it('does not follow outputs with nothing in them while the signal has another way out', () => {
    const { stages } = traceOf(voice().build());
    expect(
      stages.some(({ at }) => at.device.id === 'interface' && at.id.startsWith('phones')),
    ).toBe(false);
  });
  it('shows what the first output of each route would carry where nothing is plugged in at all', () => {
    const rig = new RigDraft('Case')
      .person('host', 'Host')
      .device('mic', 'mic-dynamic-stage', { person: 'host' })
      .device('interface', 'interface-2')
      .link('mic.out', 'interface.mic-1')
      .build();
    expect(traceOf(rig).stages.map(({ at }) => `${at.device.id}.${at.id}`)).toEqual([
      'mic.out',
      'interface.mic-1',
      'interface.phones-1',
      'interface.usb',
    ]);
  });
  it('gives the same threads for the same rig whatever order its file was written in', () => {
    const rig = voice().build();
    const shuffled: Rig = {
      ...rig,
      devices: Object.fromEntries(Object.entries(rig.devices).reverse()),
      links: Object.fromEntries(Object.entries(rig.links).reverse()),
    };
    expect(ways(shuffled)).toEqual(ways(rig));
  });
});
