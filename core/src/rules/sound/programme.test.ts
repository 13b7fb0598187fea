import { classById } from '../../catalogue';
import { RigDraft } from '../../catalogue/draft';
import { apply, type ControlValue, type Rig, USUAL_DELIVERABLES } from '../../rig';
import { demoRig } from '../demo-for-cases';
import { ruleCases } from '../judge-for-cases';
import { show, voice, voiceThrough } from '../rigs-for-cases';

const strip = (through: Readonly<Record<string, ControlValue>>): Rig =>
  voiceThrough(
    'mic-dynamic-stage',
    'channel-processor',
    { in: 'in', out: 'out', into: 'line-1' },
    {},
    { gain: 50, ...through },
  ).build();
/** Speech of 62 dB at 8 cm comes to the gate at −11.7 dBu, its quietest at −17.7, its noise at −74.85. */
ruleCases('sound.gate-cuts', {
  valid: {
    'a gate under quiet speech': strip({ gate: true, 'gate-threshold': -30 }),
    'a gate that is out': strip({ gate: false, 'gate-threshold': 0 }),
  },
  invalid: {
    'a gate over quiet speech': {
      rig: strip({ gate: true, 'gate-threshold': -15 }),
      level: 'warn',
      sum: -2.69,
      says: /swallows ends of words/,
      fixes: [/^Open the gate of Through at −\d\d\.\d dBu/],
    },
  },
});
ruleCases('sound.gate-open', {
  valid: { 'a gate over the hiss': strip({ gate: true, 'gate-threshold': -50 }) },
  invalid: {
    'a gate under the hiss': {
      rig: strip({ gate: true, 'gate-threshold': -80 }),
      level: 'note',
      sum: -5.149,
      says: /Raise the threshold between the two/,
      fixes: ['Leave the gate of Through out'],
    },
  },
});
ruleCases('sound.compressor-idle', {
  valid: {
    'a threshold among the peaks': strip({ compress: true, threshold: -10 }),
    'switched out': strip({ compress: false, threshold: 20 }),
  },
  invalid: {
    'a threshold no laugh reaches': {
      rig: strip({ compress: true, threshold: 20 }),
      level: 'note',
      says: /presses from 20\.0 dBu on; the loudest peaks of Mic come to 5\.3/,
      sum: -14.7,
      fixes: ['Let Through press from −11.5 dBu', 'Switch the compressor of Through out'],
    },
  },
});

ruleCases('sound.lift-clips', {
  valid: {
    'a lift into plenty of headroom': strip({ equalise: true, high: 3 }),
    'an equaliser that is out': strip({ equalise: false, high: 12 }),
    'only bands that are lowered': strip({ equalise: true, low: -12 }),
  },
  // 66 dB of speech come out at +2.3 dBu with peaks of +13.3: 8.7 dB under the output's +22.
  invalid: {
    'a lift where little is left': {
      rig: apply(strip({ equalise: true, high: 12, gain: 60 }), {
        type: 'changePerson',
        personId: 'host',
        person: { speechDbSpl: 66 },
      }),
      level: 'note',
      sum: -3.3,
      says: /lifts a band of Mic by 12\.0 dB/,
      fixes: ['Switch the equaliser of Through out'],
    },
  },
});

const trimmed = (trim: number, gains = 57): Rig =>
  apply(
    apply(show().build(), {
      type: 'setControl',
      deviceId: 'computer',
      control: 'programme-trim',
      value: trim,
    }),
    {
      type: 'batch',
      label: 'Gains',
      commands: [1, 2].map((n) => ({
        type: 'setControl' as const,
        deviceId: 'interface',
        control: `gain-${n}`,
        value: gains,
      })),
    },
  );
ruleCases('sound.loudness', {
  valid: { 'near the target': trimmed(0), 'a show without a brief': voice().build() },
  invalid: {
    // Both at −16.5 dBFS; 10 dB down it is −26.5 LUFS.
    'trimmed far down': {
      rig: trimmed(-10),
      level: 'note',
      sum: 10.473,
      times: 2,
      says: /will measure about −26\.5 LUFS/,
      fixes: ['Set Computer, Programme trim to 0.5 dB'],
    },
    'a voice whose peaks leave no room for it': {
      rig: apply(trimmed(-8), { type: 'changePerson', personId: 'guest', person: { crestDb: 30 } }),
      level: 'note',
      times: 2,
      fixes: [],
    },
  },
});
ruleCases('sound.true-peak', {
  valid: { 'ordinary voices': trimmed(0) },
  invalid: {
    'a voice with high peaks': {
      rig: apply(trimmed(0), { type: 'changePerson', personId: 'guest', person: { crestDb: 22 } }),
      level: 'note',
      sum: 2.99,
      times: 2,
      says: /most of all by Guest mic/,
    },
  },
});

const box = (channels: number) => {
  const draft = new RigDraft('Case')
    .person('host', 'Host')
    .device('box', 'stage-box-16', { name: 'Box' })
    .device('mixer', 'personal-mixer', { name: 'Mixer' })
    .device('phones', 'headphones-closed')
    .link('box.network', 'mixer.network')
    .link('mixer.phones', 'phones.in');
  for (let n = 1; n <= 3; n++)
    draft
      .device(`mic-${n}`, 'mic-dynamic-stage', { person: 'host' })
      .link(`mic-${n}.out`, `box.mic-${n}`);
  return draft
    .do({
      type: 'setFigure',
      deviceId: 'mixer',
      path: 'ports.network.soundChannels',
      value: channels,
    })
    .build();
};
ruleCases('sound.channels-short', {
  valid: {
    'three of three': box(3),
    'Harbour Hall: 15 and 9 of 16, 24 of 40 in a personal mixer': demoRig('harbour-hall'),
  },
  invalid: {
    'three into two': { rig: box(2), level: 'stop', sum: -1, says: /Mixer, Network carries 2/ },
  },
});

const optical = (rateHz: number) =>
  new RigDraft('Case')
    .person('host', 'Host')
    .device('mic', 'mic-dynamic-stage', { person: 'host' })
    .device('pre', 'preamp-eight-optical', { name: 'Preamps' })
    .device('interface', 'interface-8', { name: 'Interface' })
    .link('mic.out', 'pre.mic-1')
    .link('pre.optical', 'interface.optical')
    .do({ type: 'setFigure', deviceId: 'pre', path: 'ports.optical.rateHz', value: rateHz })
    .build();
ruleCases('sound.digital-rates', {
  valid: { 'both at 48 kHz': optical(48_000) },
  invalid: {
    '96 into 48 kHz': { rig: optical(96_000), level: 'stop', says: /master of the clock/ },
  },
});

const intercom = (onAir: boolean) => {
  const draft = new RigDraft('Case')
    .person('host', 'Host')
    .person('director', 'Director', { isHeard: false, shot: null })
    .do({ type: 'writeBrief', brief: { switchedBy: 'operator' } })
    .device('pack', 'intercom-pack', { name: 'Director pack', person: 'director' })
    .device('stage', 'intercom-pack', { name: 'Host pack', person: 'host' })
    .device('base', 'intercom-base', { name: 'Base' })
    .link('pack.line', 'base.port-1')
    .link('stage.line', 'base.port-2');
  if (onAir)
    draft
      .device('computer', 'computer-laptop', { name: 'Computer' })
      .device('file', 'recording-programme', { name: 'File' })
      .link('base.port-3', 'computer.network')
      .link('computer.programme', 'file.in');
  return draft;
};
ruleCases('sound.talkback-heard', {
  valid: { 'an intercom on its own lines': intercom(false).build() },
  invalid: {
    'an intercom on the computer’s network': {
      rig: intercom(true).build(),
      level: 'stop',
      times: 2,
      says: /reaches File/,
    },
  },
});
ruleCases('sound.no-talkback', {
  valid: {
    'an operator with an intercom': intercom(false).build(),
    'a host who switches': show().build(),
  },
  invalid: {
    'an operator without': { rig: show({ switchedBy: 'operator' }).build(), level: 'note' },
  },
});

const listening = (outputs: 'interface-2' | 'interface-4') =>
  new RigDraft('Case')
    .person('host', 'Host')
    .person('guest', 'Guest')
    .do({ type: 'writeBrief', brief: {} })
    .do({
      type: 'addDeliverable',
      deliverableId: 'tracks',
      deliverable: USUAL_DELIVERABLES['voice tracks'],
    })
    .device('mic', 'mic-dynamic-stage', { person: 'host' })
    .device('interface', outputs)
    .link('mic.out', 'interface.mic-1')
    .build();
ruleCases('sound.outputs-short', {
  valid: {
    'two sockets for two': listening('interface-4'),
    'a pack on the belt of each': new RigDraft('Case', listening('interface-2'))
      .device('transmitter', 'in-ear-transmitter')
      .device('one', 'in-ear-pack', { person: 'host' })
      .device('two', 'in-ear-pack', { person: 'guest' })
      .link('interface.out-1', 'transmitter.in')
      .link('transmitter.radio', 'one.radio', 0)
      .link('transmitter.radio', 'two.radio', 0)
      .build(),
    'loudspeakers by the house rule': apply(listening('interface-2'), {
      type: 'setHouseRules',
      rules: { monitoring: 'loudspeakers muted' },
    }),
  },
  invalid: {
    'one socket for two': {
      rig: listening('interface-2'),
      level: 'warn',
      sum: -1,
      fixes: ['Add a headphone amplifier to Interface, two microphones, Output 1'],
    },
  },
});

const radio = (lengthMin: number, lengthM = 10) =>
  new RigDraft('Case')
    .person('host', 'Host')
    .do({ type: 'writeBrief', brief: { lengthMin, setUpMin: 30 } })
    .device('mic', 'mic-lavalier', { person: 'host' })
    .device('pack', 'wireless-transmitter', { name: 'Pack' })
    .device('receiver', 'wireless-receiver', { name: 'Receiver' })
    .device('interface', 'interface-4', { settings: { 'gain-1': 20 } })
    .link('mic.out', 'pack.in')
    .link('pack.radio', 'receiver.radio', lengthM)
    .link('receiver.out', 'interface.mic-1')
    .build();
ruleCases('sound.battery', {
  valid: { 'four hours of a battery of six': radio(240) },
  invalid: {
    'five hours': {
      rig: radio(300),
      level: 'warn',
      sum: -42,
      says: /runs 6\.0 h on a fresh battery/,
    },
  },
});
ruleCases('sound.reach', {
  valid: { '10 m of radio': radio(60) },
  invalid: { '40 m of radio': { rig: radio(60, 40), level: 'stop', says: /Radio link, in sight/ } },
});

describe('a wireless link', () => {
  it('is two boxes with gains of their own, and neither is a kind of microphone', () =>
    expect(
      ['wireless-transmitter', 'wireless-receiver'].map(
        (id) => Object.values(classById(id).controls).filter(({ type }) => type === 'gain').length,
      ),
    ).toEqual([1, 1]));
});
