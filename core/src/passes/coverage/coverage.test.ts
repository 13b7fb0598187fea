import { coverage } from '.';
import { analyse, type Analysis, fixesOf } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { difference, differenceOf } from '../../predict/compare';
import { predict } from '../../predict/predict';
import { apply, type Command, type Rig } from '../../rig';
import { type Finding, findingKey } from '../../rules';
import { demoRig as demo } from '../../rules/demo-for-cases';
import type { CoverageLine } from './line';
import { recordingMachine } from './recordings';

const lines = (rig: Rig): ReadonlyMap<string, CoverageLine> =>
  new Map(coverage(analyse(rig)).map((line) => [line.id, line]));

const verdicts = (rig: Rig): Record<string, string> =>
  Object.fromEntries([...lines(rig)].map(([id, { verdict }]) => [id, verdict]));

/** Lines whose verdict an edit changes, with what it becomes. */
const turned = (before: Rig, command: Command): Record<string, string> => {
  const [old, now] = [verdicts(before), verdicts(apply(before, command))];
  return Object.fromEntries(Object.entries(now).filter(([id, verdict]) => old[id] !== verdict));
};

const briefFindings = (analysis: Analysis): Finding[] =>
  analysis.findings.filter(({ area }) => area === 'brief');

/** Second Firing with what it gets wrong put right, so that one thing at a time can be taken away. */
const mended = (): Rig => {
  let rig = apply(demo('second-firing'), {
    type: 'setControl',
    deviceId: 'computer',
    control: 'call-hears',
    value: 'everything but themself',
  });
  for (let round = 0; round < 12; round++) {
    const analysis = analyse(rig);
    const finding = briefFindings(analysis).find(
      (candidate) => candidate.about.line !== undefined && fixesOf(analysis, candidate).length > 0,
    );
    const [fix] = finding ? fixesOf(analysis, finding) : [];
    if (!fix) break;
    rig = apply(rig, fix.command);
  }
  return rig;
};

const whole = mended();

describe('Second Firing, mended by the fixes it is offered', () => {
  it('covers everything its brief asks for', () =>
    expect(
      [...lines(whole).values()]
        .filter(({ verdict }) => verdict !== 'met')
        .map(({ id, says }) => [id, says]),
    ).toEqual([]));
  it('says for each person by which camera and microphone', () => {
    expect(lines(whole).get('person:host:seen')?.says).toBe(
      'Host camera, head and shoulders, reaches Programme file.',
    );
    expect(lines(whole).get('person:historian:hears')?.says).toBe(
      'A mix of everyone but themself.',
    );
    expect(lines(whole).get('sight:wheel-from-above:shown')?.by).toEqual(['overhead']);
  });
});

describe('taking one thing away turns exactly the right lines, and the fix offered restores them', () => {
  const linkOf = (deviceId: string): string =>
    Object.keys(whole.links).find((id) => whole.links[id]?.to.deviceId === deviceId) ?? '';
  it.each<[string, Command, Record<string, string>, string]>([
    [
      'the historian’s mix',
      { type: 'disconnect', linkId: linkOf('historian-call') },
      { 'person:historian:hears': 'missing' },
      'person:historian:hears',
    ],
    [
      'the mix without themself',
      { type: 'setControl', deviceId: 'computer', control: 'call-hears', value: 'programme' },
      { 'person:historian:hears': 'missing' },
      'person:historian:hears',
    ],
    [
      'the host’s headphone feed',
      { type: 'disconnect', linkId: linkOf('host-phones') },
      { 'person:host:hears': 'missing' },
      'person:host:hears',
    ],
    [
      'the host’s headphones',
      { type: 'removeDevice', deviceId: 'host-phones' },
      { 'person:host:hears': 'missing' },
      'person:host:hears',
    ],
    [
      'the wheel camera',
      { type: 'removeDevice', deviceId: 'overhead' },
      { 'sight:wheel-from-above:shown': 'missing' },
      'sight:wheel-from-above:shown',
    ],
    [
      'the wheel camera’s cable',
      { type: 'disconnect', linkId: 'overhead-hdmi-to-switcher' },
      { 'sight:wheel-from-above:shown': 'missing' },
      'sight:wheel-from-above:shown',
    ],
    [
      'the co-host’s microphone',
      { type: 'removeDevice', deviceId: 'cohost-mic' },
      {
        'person:cohost:heard': 'missing',
        'person:historian:hears': 'partly',
        'deliverable:stream:delivered': 'partly',
        'deliverable:programme:delivered': 'partly',
        'deliverable:tracks:delivered': 'partly',
      },
      'person:cohost:heard',
    ],
    [
      'the stream',
      { type: 'removeDevice', deviceId: 'stream' },
      { 'deliverable:stream:delivered': 'missing' },
      'deliverable:stream:delivered',
    ],
  ])('%s', (_name, command, expected, mendedLine) => {
    expect(turned(whole, command)).toEqual(expected);
    const broken = analyse(apply(whole, command));
    const known = new Set(analyse(whole).findings.map(findingKey));
    const fresh = briefFindings(broken).filter((finding) => !known.has(findingKey(finding)));
    expect(
      fresh
        .map(({ about }) => about.line)
        .filter((id) => id !== undefined)
        .sort(),
    ).toEqual(Object.keys(expected).sort());
    const finding = fresh.find(({ about }) => about.line === mendedLine);
    const [fix] = finding ? fixesOf(broken, finding) : [];
    expect(fix).toBeDefined();
    if (!finding || !fix) return;
    expect(predict(broken, finding, fix).cures).toBe(true);
    const restored = verdicts(apply(broken.rig, fix.command));
    for (const [id, verdict] of Object.entries(verdicts(whole)))
      expect([id, restored[id]]).toEqual([
        id,
        id === 'person:cohost:heard' && command.type === 'removeDevice' && mendedLine === id
          ? restored[id]
          : verdict,
      ]);
  });
});

/** A caller whose voice leaves one computer by its interface, crosses a mixer, and enters another computer. */
const longWay = (closed: boolean): Rig => {
  const draft = new RigDraft('Long way')
    .person('guest', 'Guest', { where: 'remote' })
    .do({ type: 'writeBrief', brief: {} })
    .device('call', 'call', { person: 'guest' })
    .device('first', 'computer-laptop', { name: 'First' })
    .device('interface', 'interface-4', { name: 'Interface' })
    .device('mixer', 'mixer-8', { name: 'Mixer' })
    .device('second', 'computer-laptop', { name: 'Second' })
    .device('file', 'recording-programme')
    .link('call.receive', 'first.call-in')
    .link('interface.usb', 'first.usb-3', 2, 'usb-2')
    .link('interface.out-1', 'mixer.line-1')
    .link('mixer.usb', 'second.usb-3', 2, 'usb-2')
    .link('second.programme', 'file.in');
  return (
    closed
      ? draft.link('second.call-out', 'call.send')
      : draft.device('other', 'call').link('second.call-out', 'other.send')
  ).build();
};

describe('a caller who hears themself', () => {
  it('is a stop through two computers, an interface and a mixer', () => {
    const { findings } = analyse(longWay(true));
    const echo = findings.find(({ code }) => code === 'sound.mix-minus');
    expect(echo?.level).toBe('stop');
    expect(echo?.says).toContain('by way of First, Interface, Mixer, Second');
    expect(lines(longWay(true)).get('person:guest:hears')?.verdict).toBe('missing');
  });
  it('is not found where the same way ends at somebody else', () =>
    expect(analyse(longWay(false)).findings.map(({ code }) => code)).not.toContain(
      'sound.mix-minus',
    ));
  it('two callers of one computer hear each other and not themselves', () => {
    const rig = new RigDraft('Calls')
      .person('a', 'A', { where: 'remote' })
      .person('b', 'B', { where: 'remote' })
      .do({ type: 'writeBrief', brief: {} })
      .device('call-a', 'call', { person: 'a' })
      .device('call-b', 'call', { person: 'b' })
      .device('computer', 'computer-laptop')
      .link('call-a.receive', 'computer.call-in')
      .link('call-b.receive', 'computer.call-in')
      .link('computer.call-out', 'call-a.send')
      .link('computer.call-out', 'call-b.send')
      .build();
    expect(
      analyse(rig)
        .traced.threads.filter(({ signal }) => signal === 'sound')
        .map(({ id }) => id),
    ).toEqual(['sound:call-a.receive>call-b.send', 'sound:call-b.receive>call-a.send']);
    expect([
      lines(rig).get('person:a:hears')?.verdict,
      lines(rig).get('person:b:hears')?.verdict,
    ]).toEqual(['met', 'met']);
  });
});

describe('independent recordings', () => {
  const threadsTo = (deviceId: string) =>
    analyse(whole).traced.threads.filter(
      ({ end, signal }) => signal === 'sound' && end.device.id === deviceId,
    );
  it('two files of one computer are one recording', () => {
    const [programme, tracks] = [threadsTo('programme')[0], threadsTo('tracks')[0]];
    expect(programme && recordingMachine(programme).id).toBe('computer');
    expect(tracks && recordingMachine(tracks).id).toBe('computer');
  });
  it('a transmitter that records by itself is one more', () => {
    const worn = (transmitter: string): Rig =>
      new RigDraft('Worn')
        .person('host', 'Host', { shot: null })
        .do({ type: 'writeBrief', brief: {} })
        .device('mic', 'mic-lavalier', { person: 'host' })
        .device('pack', transmitter)
        .device('receiver', 'wireless-receiver')
        .device('interface', 'interface-2')
        .device('computer', 'computer-laptop')
        .device('file', 'recording-tracks')
        .link('mic.out', 'pack.in')
        .link('pack.radio', 'receiver.radio')
        .link('receiver.out', 'interface.mic-1')
        .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
        .link('computer.tracks', 'file.in')
        .build();
    expect(lines(worn('wireless-transmitter')).get('person:host:heard')?.verdict).toBe('partly');
    expect(lines(worn('wireless-transmitter-recording')).get('person:host:heard')?.verdict).toBe(
      'met',
    );
  });
  it('one recording is enough where the house rule says so', () => {
    const rig = apply(demo('second-firing'), {
      type: 'setHouseRules',
      rules: { recordingsOfVoice: 1 },
    });
    expect(lines(rig).get('person:host:heard')?.verdict).toBe('met');
    expect(lines(demo('second-firing')).get('person:host:heard')?.verdict).toBe('partly');
  });
});

describe('a deliverable’s format', () => {
  const asking = (format: string): Rig =>
    apply(whole, { type: 'changeDeliverable', deliverableId: 'stream', deliverable: { format } });
  it('is met by as many lines or more', () =>
    expect(lines(asking('1280x720p30')).get('deliverable:stream:delivered')?.verdict).toBe('met'));
  it('is met only partly by fewer, and says both', () => {
    expect(lines(asking('3840x2160p30')).get('deliverable:stream:delivered')).toMatchObject({
      verdict: 'partly',
      says: 'Live stream gets 1080p30, and 2160p30 is to be delivered.',
    });
    expect(
      analyse(asking('3840x2160p30'))
        .findings.filter(({ code }) => code === 'brief.partly-delivered')
        .map(({ level }) => level),
    ).toEqual(['warn']);
  });
});

describe('without a brief', () => {
  it('nothing is asked for and nothing is missing', () =>
    expect(
      coverage(
        analyse({
          ...demo('night-tide'),
          brief: null,
          devices: Object.fromEntries(
            Object.entries(demo('night-tide').devices).map(([id, device]) => [
              id,
              { ...device, sightId: null },
            ]),
          ),
        }),
      ),
    ).toEqual([]));
});

describe('differences', () => {
  it('a rig differs from itself in nothing', () =>
    expect(difference(analyse(whole), analyse(whole))).toEqual({
      gone: [],
      fresh: [],
      money: 0,
      devices: 0,
    }));
  it('a new camera costs its price and is one device more', () => {
    const model = demo('second-firing').devices['cohost-camera']?.model;
    if (!model) throw new Error('no camera');
    const change = differenceOf(analyse(whole), {
      type: 'addDevice',
      deviceId: 'more',
      name: 'More',
      model,
      settings: {},
      personId: null,
      placeId: null,
    });
    expect([change.money, change.devices, change.fresh.map(({ code }) => code)]).toEqual([
      1900,
      1,
      ['picture.inputs-short', 'signal.unconnected'],
    ]);
  });
});
