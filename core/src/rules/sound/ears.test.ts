import { RigDraft } from '../../catalogue/draft';
import { ruleCases } from '../judge-for-cases';
import { voice, voiceThrough } from '../rigs-for-cases';

/** The host hears themself: directly, through a personal mixer over the network, or by the computer. */
const hears = (level: number, lengthMin = 60) =>
  new RigDraft('Case')
    .person('host', 'Host')
    .do({ type: 'writeBrief', brief: { lengthMin } })
    .device('mic', 'mic-dynamic-stage', { person: 'host', settings: { distance: 0.06 } })
    .device('box', 'stage-box-8', { settings: { 'gain-1': 58 } })
    .device('mixer', 'personal-mixer', { name: 'Mixer', settings: { level } })
    .device('phones', 'headphones-closed', {
      name: 'Phones',
      person: 'host',
      settings: { volume: 0 },
    })
    .link('mic.out', 'box.mic-1')
    .link('box.network', 'mixer.network')
    .link('mixer.phones', 'phones.in')
    .build();

ruleCases('sound.ears-loud', {
  valid: {
    'a quiet mix': hears(-40),
    'headphones whose sensitivity is not known': new RigDraft('Case').build(),
  },
  invalid: {
    'a mix turned up, for eight hours': {
      rig: hears(-10, 480),
      level: 'warn',
      sum: 1.024,
      says: /^Host hears 9\d\.\d dB in Phones; that may be heard for/,
      fixes: [/^Turn Phones down to −\d\d dB/],
    },
    'a mix fully up': { rig: hears(10), level: 'stop', fixes: [/^Turn Phones down/] },
  },
});

const late = (ms: number) => {
  const rig = hears(-40);
  const mixer = rig.devices['mixer'];
  if (!mixer) throw new Error('no mixer');
  const routes = Object.fromEntries(
    Object.entries(mixer.model.routes).map(([id, route]) => [id, { ...route, delay: { ms } }]),
  );
  return {
    ...rig,
    devices: { ...rig.devices, mixer: { ...mixer, model: { ...mixer.model, routes } } },
  };
};
ruleCases('sound.ears-late', {
  valid: { '3 ms over the network': hears(-40) },
  invalid: {
    '12 ms': { rig: late(11), level: 'note', sum: 12, says: /Fine for speech/ },
    '21 ms': { rig: late(20), level: 'warn', sum: 21, says: /slow down and stumble/ },
  },
});

ruleCases('sound.last-tenth', {
  valid: {
    'a gain at 60 of 69 dB': voice({ settings: { 'gain-1': 60 } }).build(),
    'a gain fully up where nothing else can give it': voice({ settings: { 'gain-1': 69 } }).build(),
    'a gain that one converter has alone, with a recorder’s gain behind it': voice({
      settings: { 'gain-1': 66 },
    })
      .device('recorder', 'recorder-sound')
      .link('interface.out-1', 'recorder.line-1')
      .build(),
  },
  invalid: {
    'a strip at 58 of 60 dB before an interface at 10 of 69': {
      rig: voiceThrough(
        'mic-dynamic-stage',
        'channel-processor',
        { in: 'in', out: 'out' },
        { 'gain-1': 10 },
        { gain: 58 },
      ).build(),
      level: 'note',
      says: /stands at 58 of 60 dB for Mic, and Interface, Gain 1 has gain to spare/,
      sum: 4,
      fixes: ['Take 4 dB from Through, Gain and give it to Interface, Gain 1'],
    },
  },
});

const twoStrips = (second: boolean) =>
  voiceThrough(
    'mic-dynamic-stage',
    'channel-processor',
    { in: 'in', out: 'out' },
    { 'gain-1': 0 },
    { gain: 50, compress: true, ratio: 3 },
  )
    .do({ type: 'disconnect', linkId: 'through-out-to-interface' })
    .device('second', 'channel-processor', {
      name: 'Second',
      settings: { gain: 0, compress: second, ratio: 3 },
    })
    .link('through.out', 'second.in')
    .link('second.out', 'interface.mic-1')
    .build();
ruleCases('sound.pressed-twice', {
  valid: { 'one compressor in, one out': twoStrips(false), 'no compressor': voice().build() },
  invalid: {
    'two of 3 to 1': {
      rig: twoStrips(true),
      level: 'note',
      sum: 9,
      says: /as 9 to 1/,
      fixes: ['Switch the compressor of Second out'],
    },
  },
});
