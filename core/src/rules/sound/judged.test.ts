import { analyse, fixesOf } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { setForAll } from '../../edits/gain/set';
import { snrDb } from '../../passes/sound';
import { voices } from '../../passes/sound/ladder';
import { apply, type ControlValue, type Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { voice, voiceThrough } from '../rigs-for-cases';

/** Rigs judged as a careful engineer would: handbook 2, "Judging sound rightly". */

type Settings = Readonly<Record<string, ControlValue>>;

const strip = (through: Settings, microphone = 'mic-dynamic-quiet'): Rig =>
  voiceThrough(
    microphone,
    'channel-processor',
    { in: 'in', out: 'out', into: 'line-1' },
    {},
    through,
  ).build();

const set = (rig: Rig): Rig => {
  const { commands } = setForAll(analyse(rig));
  return commands.length
    ? apply(rig, { type: 'batch', label: 'Set', commands: [...commands] })
    : rig;
};

const soundCodes = (rig: Rig): string[] =>
  analyse(rig).findings.flatMap(({ code, area }) => (area === 'sound' ? [code] : []));

const atConverter = (rig: Rig) => {
  const analysis = analyse(rig);
  return voices(analysis).map(({ index }) => analysis.sound[index]);
};

ruleCases('sound.peaks-high', {
  valid: {
    'peaks of −6.6 where the school says −6': voice().build(),
    'a voice that is too hot altogether': voice({
      settings: { 'gain-1': 66 },
      distance: 0.04,
    }).build(),
  },
  invalid: {
    'a voice of crest 18 at the average of the school': {
      rig: voice({ settings: { 'gain-1': 58 } })
        .do({ type: 'changePerson', personId: 'host', person: { crestDb: 18 } })
        .build(),
      level: 'note',
      says: /the school of this house keeps peaks under −6/,
      fixes: [/^Set Interface, .* to \d+ dB for Mic$/],
    },
  },
});

ruleCases('sound.pause-noise', {
  valid: {
    'the compressor out': strip({ gain: 58, threshold: -40, ratio: 8, 'make-up': 24 }),
    'a gentle one': strip({ gain: 45, compress: true, threshold: -16, ratio: 2 }),
  },
  invalid: {
    // −40 dBu, 8 : 1, 24 dB of make-up: 26 dB off the voice, nothing off the hiss.
    '26 dB of reduction': {
      rig: strip({ gain: 58, compress: true, threshold: -40, ratio: 8, 'make-up': 24 }),
      level: 'warn',
      says: /56\.3 dB over the hiss in speech, and 30\.0 dB in pauses/,
    },
  },
});

const manyVoices = (count: number): Rig => {
  const draft = new RigDraft('Many')
    .device('mixer', 'mixer-16', {
      settings: Object.fromEntries(
        Array.from({ length: count }, (_, index) => [`gain-${index + 1}`, 59]),
      ),
    })
    .device('computer', 'computer-laptop')
    .device('stream', 'stream')
    .link('mixer.usb', 'computer.usb-3', 2, 'usb-2')
    .link('computer.programme', 'stream.in');
  for (let n = 1; n <= count; n++)
    draft
      .person(`p${n}`, `P${n}`)
      .device(`m${n}`, 'mic-dynamic-quiet', {
        name: `Mic ${n}`,
        person: `p${n}`,
        settings: { distance: 0.08 },
      })
      .link(`m${n}.out`, `mixer.mic-${n}`);
  return draft.build();
};
ruleCases('sound.mix-noise', {
  valid: { 'two voices': manyVoices(2), 'one voice': manyVoices(1) },
  invalid: {
    // Each alone 57.24 dB; sixteen of them 12.04 dB more hiss.
    'sixteen open microphones': {
      rig: manyVoices(16),
      level: 'warn',
      sum: 45.18,
      says: /stands 45\.2 dB over their hiss; each alone has at least 57\.2 dB/,
    },
  },
});

const twice = (second: number, end = 'recording-programme', way = 'programme'): Rig =>
  new RigDraft('Twice')
    .person('host', 'Host')
    .device('mic', 'mic-dynamic-stage', {
      name: 'Mic',
      person: 'host',
      settings: { distance: 0.08 },
    })
    .device('lav', 'mic-lavalier', { name: 'Lav', person: 'host', settings: { distance: 0.23 } })
    .device('interface', 'interface-4', {
      settings: { 'phantom-1': true, 'gain-1': 60, 'gain-2': second },
    })
    .device('computer', 'computer-laptop')
    .device('end', end, { name: 'File' })
    .link('mic.out', 'interface.mic-1')
    .link('lav.out', 'interface.mic-2')
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link(`computer.${way}`, 'end.in')
    .build();
ruleCases('sound.twice-in-mix', {
  valid: {
    'a reserve on a track of its own': twice(56, 'recording-tracks', 'tracks'),
    'one far under the other': twice(30),
  },
  invalid: {
    // 15 cm farther: 0.437 ms, a first dip at 1143 Hz.
    'a hand-held and a lavalier': {
      rig: twice(56),
      level: 'warn',
      sum: 1143.333,
      says: /0\.44 ms apart: the first dip lies at 1143 Hz/,
      fixes: [/^Unplug /],
    },
  },
});

const keyboard = (phantom: boolean): Rig =>
  new RigDraft('Keyboard')
    .device('keys', 'instrument-keyboard', { name: 'Keys' })
    .device('interface', 'interface-4', {
      name: 'Interface',
      settings: { 'gain-1': 4, 'phantom-1': phantom },
    })
    .device('computer', 'computer-laptop')
    .device('tracks', 'recording-tracks')
    .link('keys.out', 'interface.mic-1')
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link('computer.tracks', 'tracks.in')
    .build();
ruleCases('sound.phantom-output', {
  valid: {
    'phantom power off': keyboard(false),
    'a condenser that needs it': voice({
      microphone: 'mic-condenser-large',
      distance: 0.2,
      settings: { 'gain-1': 42, 'phantom-1': true },
    }).build(),
  },
  invalid: {
    'phantom power into a keyboard': {
      rig: keyboard(true),
      level: 'warn',
      says: /goes back into Keys/,
      fixes: [/^Switch phantom power off/],
    },
  },
});

const headphones = (socket: string): Rig =>
  new RigDraft('Ears')
    .device('mixer', 'mixer-8', { name: 'Mixer' })
    .device('ears', 'headphones-closed', { name: 'Ears' })
    .link(`mixer.${socket}`, 'ears.in')
    .build();
ruleCases('sound.headphones-on-line', {
  valid: {
    'a headphone socket': headphones('phones-1'),
    'a pack that hears a transmitter by radio': new RigDraft('Case')
      .device('mixer', 'mixer-8')
      .device('transmitter', 'in-ear-transmitter')
      .device('pack', 'in-ear-pack')
      .link('mixer.main-1', 'transmitter.in')
      .link('transmitter.radio', 'pack.radio', 0)
      .build(),
  },
  invalid: {
    'a main output': {
      rig: headphones('main-1'),
      level: 'warn',
      says: /made for thousands of ohms/,
      fixes: ['Use Mixer, Headphones 1'],
    },
  },
});

const withEin = (dbu: number): Rig =>
  voice()
    .do({
      type: 'setFigure',
      deviceId: 'interface',
      path: 'routes.mic-1.sound.ein.0.dbu',
      value: dbu,
    })
    .build();
ruleCases('sound.ein-doubtful', {
  valid: { 'an EIN of −130 dBu': withEin(-130) },
  invalid: {
    'an EIN that 150 Ω alone make': { rig: withEin(-131), level: 'note', says: /"at best"/ },
    'an EIN below physics': { rig: withEin(-134), level: 'warn', says: /how it was|weighting/ },
  },
});

describe('what arrives decides, not what a socket is called', () => {
  it('a condenser behind an inline pad is right at a microphone input', () =>
    expect(
      soundCodes(
        voiceThrough(
          'mic-condenser-large',
          'pad-inline',
          { in: 'in', out: 'out' },
          { 'phantom-1': true, 'gain-1': 51 },
        ).build(),
      ).filter((code) => code.startsWith('sound.microphone') || code.startsWith('sound.line')),
    ).toEqual([]));
  it('a keyboard at −19.6 dBFS is right at a microphone input', () =>
    expect(soundCodes(keyboard(false))).toEqual([]));
});

describe('ceilings', () => {
  const level = (rig: Rig): number => atConverter(rig)[0]?.levelDb ?? NaN;
  it('of a preamp before a line input are its output’s: −19.9 dBFS is reached, not −21.9', () => {
    const rig = voiceThrough(
      'mic-dynamic-quiet',
      'preamp-one',
      { in: 'in', out: 'out', into: 'line-1' },
      {},
      { gain: 30 },
    ).build();
    expect(level(set(rig))).toBeCloseTo(-19.89, 2);
  });
});

describe('free gain before bought gain', () => {
  const late = voiceThrough(
    'mic-dynamic-quiet',
    'preamp-one',
    { in: 'in', out: 'out' },
    { 'gain-1': 30 },
    { gain: 5 },
  ).build();
  it('a preamp at 5 of 70 dB before an interface at 30: its knob brings what a booster would', () => {
    const analysis = analyse(late);
    const finding = analysis.findings.find(({ code }) => code === 'sound.noise');
    expect(finding?.says).toMatch(
      /29\.2 dB over the hiss.*after .*, which stands low: turn that up first/,
    );
    const [fix] = finding ? fixesOf(analysis, finding) : [];
    const after = fix && analyse(apply(late, fix.command));
    const [stage] = after ? voices(after) : [];
    const figures = stage && after?.sound[stage.index];
    expect(figures && snrDb(figures)).toBeGreaterThan(59.2);
  });
});

describe('voices that share a knob', () => {
  /** Two preamps into one line gain of a recorder: the quiet one first, or the loud one. */
  const shared = (first: 'quiet' | 'loud'): Rig => {
    const order = first === 'quiet' ? ['quiet', 'loud'] : ['loud', 'quiet'];
    const draft = new RigDraft('Shared')
      .person('quiet', 'Quiet', { speechDbSpl: 54 })
      .person('loud', 'Loud', { speechDbSpl: 72 })
      .device('mixer', 'mixer-8', { name: 'Mixer' })
      .device('recorder', 'recorder-sound', { name: 'Recorder' });
    order.forEach((who, index) =>
      draft
        .device(`mic-${who}`, 'mic-dynamic-stage', { person: who, settings: { distance: 0.08 } })
        .link(`mic-${who}.out`, `mixer.mic-${index + 1}`),
    );
    return draft.link('mixer.main-1', 'recorder.line-1').build();
  };
  it('are set together, in whatever order they stand', () => {
    const levels = (['quiet', 'loud'] as const).map((first) =>
      atConverter(set(shared(first)))
        .map((figures) => Number((figures?.levelDb ?? NaN).toFixed(2)))
        .sort((a, b) => a - b),
    );
    expect(levels[0]).toEqual(levels[1]);
    for (const level of levels.flat()) expect(Math.abs(level + 18)).toBeLessThanOrEqual(0.51);
  });
});
