import { analyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { lacksPhantom, phantomAt } from './phantom';

/** A condenser that goes through some boxes, one after the other, into an interface with phantom power on. */
const through = (boxes: readonly string[], isOn = true) => {
  const draft = new RigDraft('Case')
    .person('host', 'Host')
    .device('mic', 'mic-condenser-large', { person: 'host' })
    .device('interface', 'interface-4', { settings: { 'phantom-1': isOn } });
  let last = 'mic.out';
  boxes.forEach((classId, n) => {
    draft.device(`box-${n}`, classId).link(last, `box-${n}.in`);
    last = `box-${n}.out`;
  });
  return analyse(draft.link(last, 'interface.mic-1').build());
};

const at = (analysis: ReturnType<typeof analyse>, deviceId = 'mic') => {
  const port = analysis.graph.devices.get(deviceId)?.ports.get('out');
  if (!port) throw new Error(`no output of ${deviceId}`);
  const phantom = phantomAt(analysis, port);
  return { ...phantom, lacks: lacksPhantom(analysis, port) };
};

describe('phantom power, looked for from the microphone on', () => {
  it('comes over one cable', () =>
    expect(at(through([]))).toMatchObject({ state: 'on', control: 'phantom-1', lacks: false }));
  it('may be off', () =>
    expect(at(through([], false))).toMatchObject({ state: 'off', lacks: true }));
  it.each([1, 2, 3])('passes %i pads in a row', (many) => {
    const found = at(through(Array.from({ length: many }, () => 'pad-inline')));
    expect(found).toMatchObject({ state: 'on', lacks: false });
    expect(found.state === 'on' && found.supply.device.id).toBe('interface');
  });
  it('is stopped by a booster, also where a pad stands before it', () => {
    const found = at(through(['pad-inline', 'booster-inline']));
    expect(found).toMatchObject({ state: 'blocked', lacks: true });
    expect(found.state === 'blocked' && found.by.device.id).toBe('box-1');
  });
  it('reaches the booster itself through the pad behind it', () =>
    expect(at(through(['booster-inline', 'pad-inline']), 'box-0')).toMatchObject({
      state: 'on',
      lacks: false,
    }));
  it('is not there at a line input', () => {
    const rig = new RigDraft('Case')
      .device('mic', 'mic-condenser-large')
      .device('interface', 'interface-4', { settings: { 'phantom-1': true } })
      .link('mic.out', 'interface.line-1')
      .build();
    expect(at(analyse(rig))).toMatchObject({ state: 'none', lacks: true });
  });
  it('is not asked for by what is not plugged in', () => {
    const rig = new RigDraft('Case').device('mic', 'mic-condenser-large').build();
    expect(at(analyse(rig))).toMatchObject({ state: 'unplugged', lacks: false });
  });
  it('is not missed by a dynamic', () => {
    const rig = new RigDraft('Case')
      .device('mic', 'mic-dynamic-stage')
      .device('interface', 'interface-4')
      .link('mic.out', 'interface.mic-1')
      .build();
    expect(at(analyse(rig))).toMatchObject({ state: 'off', lacks: false });
  });
  it('tells how much it can give', () => {
    const found = at(through([]));
    expect(found.state === 'on' && found.maxMa).toBe(10);
  });
});
