import { type Analysis, analyse, fixesOf, reanalyse } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { apply, type Rig } from '../rig';
import { camera, voice } from '../rules/rigs-for-cases';

const found = (rig: Rig, code: string, at = 0) => {
  const analysis = analyse(rig);
  const findings = analysis.findings.filter((finding) => finding.code === code);
  const finding = findings[at];
  if (!finding) throw new Error(`no ${code}`);
  return { analysis, finding };
};

const labels = (rig: Rig, code: string): string[] => {
  const { analysis, finding } = found(rig, code);
  return fixesOf(analysis, finding).map(({ label }) => label);
};

/** The first remedy of a finding, applied. */
const cured = (rig: Rig, code: string): Analysis => {
  const { analysis, finding } = found(rig, code);
  const [fix] = fixesOf(analysis, finding);
  if (!fix) throw new Error(`no remedy of ${code}`);
  return reanalyse(analysis, apply(rig, fix.command));
};

/** A camera's HDMI run of so many metres, and where both ends stand. */
const run = (lengthM: number, at: readonly [number, number] | null = null): RigDraft => {
  const draft = camera({ lengthM });
  if (at)
    draft
      .do({
        type: 'placeDevice',
        deviceId: 'camera',
        at: { xM: 1, yM: 1, facingDeg: 0 },
        aim: null,
      })
      .do({
        type: 'placeDevice',
        deviceId: 'capture',
        at: { xM: 1 + at[0], yM: 1 + at[1], facingDeg: 0 },
        aim: null,
      });
  return draft;
};

describe('a run that its cable does not go', () => {
  it('another cable where one goes, and nothing else', () =>
    expect(labels(run(20).build(), 'picture.reach')).toEqual(['Use HDMI cable, active optical']));
  it('as SDI beyond that: 1 m, 60 m of coax, 1 m', () => {
    const rig = run(60).build();
    expect(labels(rig, 'picture.reach')[0]).toBe('Run it as SDI, with a converter at each end');
    const { links } = cured(rig, 'picture.reach').rig;
    expect(
      Object.values(links)
        .filter(({ cable }) => cable.kind === 'hdmi' || cable.kind === 'sdi-coax')
        .map(({ cable }) => [cable.kind, cable.lengthM]),
    ).toEqual([
      ['hdmi', 1],
      ['sdi-coax', 60],
      ['hdmi', 1],
    ]);
  });
  it('coax beyond its 100 m of 1080p60: two of half, with a distributor between', () => {
    const rig = new RigDraft('Case')
      .device('camera', 'camera-camcorder', { name: 'Camera' })
      .device('recorder', 'recorder-picture-sdi', { name: 'Recorder' })
      .link('camera.sdi', 'recorder.in', 110)
      .build();
    expect(labels(rig, 'picture.reach')[0]).toBe('Put a distributor that reclocks half way');
    const { links } = cured(rig, 'picture.reach').rig;
    expect(Object.values(links).map(({ cable }) => cable.lengthM)).toEqual([55, 55]);
  });
  it('the length that is needed, where both stand near: 3 + 2 m and a tenth are 5.5 m, of stock 7.5', () =>
    expect(labels(run(60, [3, 2]).build(), 'picture.reach')).toEqual([
      'Lay 7.5 m, where it can go as straight as on the plan',
    ]));
  it('not where they stand far', () =>
    expect(labels(run(60, [30, 20]).build(), 'picture.reach')).toEqual([
      'Run it as SDI, with a converter at each end',
    ]));
  it('nearer, where nobody has placed them and no other cable goes', () =>
    expect(
      labels(
        voice()
          .do({
            type: 'setCable',
            linkId: 'interface-usb-to-computer',
            cable: { kind: 'usb-2', lengthM: 40 },
          })
          .build(),
        'computer.reach',
      ),
    ).toEqual(['Stand them nearer and lay 3 m']));
  it('sound in analogue beyond its reach is a warning, balanced where it begins', () => {
    const rig = new RigDraft('Case')
      .device('player', 'player-sound', { name: 'Player' })
      .device('mixer', 'mixer-8', { name: 'Mixer' })
      .link('player.out', 'mixer.tape-1', 30)
      .build();
    expect(found(rig, 'sound.reach').finding.level).toBe('warn');
  });
});

describe('a way that is missing', () => {
  const about = (analysis: Analysis, line: string) =>
    analysis.findings.filter(({ about: at }) => at.line?.startsWith(line)).map(({ code }) => code);
  it('somebody elsewhere gets a call, there and back, and is seen, heard and hears by it', () => {
    const rig = voice()
      .do({ type: 'writeBrief', brief: {} })
      .do({ type: 'changePerson', personId: 'host', person: { shot: null } })
      .person('far', 'Far', { where: 'remote' })
      .device('file', 'recording-programme')
      .link('computer.programme', 'file.in')
      .build();
    expect(about(analyse(rig), 'person:far')).toEqual([
      'brief.unseen',
      'brief.unheard',
      'brief.cannot-hear',
    ]);
    expect(labels(rig, 'brief.unseen')).toEqual(['Add a call of Far to Computer']);
    // Once, not twice: whoever is elsewhere has no backup yet.
    expect(about(cured(rig, 'brief.unseen'), 'person:far')).toEqual(['brief.recorded-once']);
  });
  it('a microphone that reaches its interface and no file: the interface is connected onward', () => {
    const rig = voice()
      .do({ type: 'writeBrief', brief: {} })
      .do({ type: 'disconnect', linkId: 'interface-usb-to-computer' })
      .build();
    expect(labels(rig, 'brief.unheard')).toEqual(['Connect Interface, USB to Computer, USB 1']);
    expect(labels(rig, 'signal.destination-empty')).toContain(
      'Connect Interface, USB to Computer, USB 1',
    );
  });
});

describe('a loop', () => {
  it('talk on the computer’s network is taken off where it comes in, and the voice stays', () => {
    const rig = voice()
      .person('director', 'Director', { isHeard: false, shot: null })
      .device('pack', 'intercom-pack', { name: 'Pack', person: 'director' })
      .device('base', 'intercom-base', { name: 'Base' })
      .device('file', 'recording-programme', { name: 'File' })
      .link('pack.line', 'base.port-1')
      .link('base.port-3', 'computer.network')
      .link('computer.programme', 'file.in')
      .build();
    expect(labels(rig, 'sound.talkback-heard')[0]).toBe(
      'Unplug Base, Pack 3 from Computer, Network',
    );
  });
  it('two loops of one caller are opened at once', () => {
    const rig = voice()
      .device('call', 'call', { name: 'Caller' })
      .do({ type: 'setControl', deviceId: 'computer', control: 'call-hears', value: 'programme' })
      .link('call.receive', 'computer.call-in')
      .link('computer.call-out', 'call.send')
      .device('lift', 'converter-line')
      .link('computer.headphones', 'lift.in')
      .link('lift.out', 'interface.line-3')
      .build();
    const loops = (analysis: Analysis) =>
      analysis.findings.filter(({ code }) => code === 'sound.mix-minus').length;
    expect([loops(analyse(rig)), loops(cured(rig, 'sound.mix-minus'))]).toEqual([2, 0]);
  });
});
