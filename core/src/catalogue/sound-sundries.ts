import type { Model, Route } from '../rig/devices/model';
import {
  AT_ONCE,
  deviceClass,
  each,
  gain,
  lineIn,
  micIn,
  phonesOut,
  preampToDigital,
  route,
  software,
  toggle,
} from './parts';

/** Round trip through a converter and a driver's buffer of 256 samples at 48 kHz, one way. @unit ms */
export const CONVERSION_DELAY = { ms: 6.3 } as const;

const stageBox = (id: string, name: string, microphones: number): Model =>
  deviceClass(id, {
    name,
    kind: 'stage-box',
    step: 'combine',
    about: 'Preamps near the microphones; the channels travel over one network cable.',
    ports: {
      ...each(microphones, 'mic', (n) => micIn(`Channel ${n}`, 3000, 18, `phantom-${n}`)),
      network: {
        family: 'network',
        direction: 'out',
        name: 'Network',
        connector: 'rj45',
        gbps: 1,
        soundChannels: microphones,
      },
    },
    routes: each<Route>(microphones, 'mic', (n) =>
      route(
        `mic-${n}`,
        'network',
        { ms: 1 },
        { sound: preampToDigital(`gain-${n}`, -126.5, 60, 112, `pad-${n}`) },
      ),
    ),
    controls: {
      ...each(microphones, 'gain', (n) => gain(`Gain ${n}`, 0, 60, 40)),
      ...each(microphones, 'phantom', (n) => toggle(`Phantom power ${n}`)),
      ...each(microphones, 'pad', (n) => toggle(`Pad ${n}, 20 dB`)),
    },
  });

const headphoneAmplifier = (id: string, name: string, people: number): Model =>
  deviceClass(id, {
    name,
    kind: 'headphone-amplifier',
    step: 'hear and see',
    about: `One mix to ${people} pairs of headphones, a level each.`,
    ports: {
      in: lineIn('Input', 22),
      ...each(people, 'phones', (n) => phonesOut(`Headphones ${n}`, 18)),
    },
    routes: each<Route>(people, 'phones', (n) =>
      route('in', `phones-${n}`, AT_ONCE, {
        sound: { gain: { control: `level-${n}` }, outputNoiseDbu: -97 },
      }),
    ),
    controls: each(people, 'level', (n) => gain(`Level ${n}`, -60, 10, -10)),
  });

export const soundSundries: readonly Model[] = [
  stageBox('stage-box-8', 'Stage box, eight channels', 8),
  stageBox('stage-box-16', 'Stage box, sixteen channels', 16),
  deviceClass('preamp-eight-optical', {
    name: 'Eight preamps to optical',
    kind: 'preamp',
    step: 'lift',
    about: 'Eight microphone channels for an interface that has an optical input.',
    ports: {
      ...each(8, 'mic', (n) => micIn(`Channel ${n}`, 3000, 16, 'phantom', 80)),
      optical: {
        family: 'digital sound',
        direction: 'out',
        name: 'Optical out',
        connector: 'optical',
        channels: 8,
        rateHz: 48_000,
      },
    },
    routes: each<Route>(8, 'mic', (n) =>
      route(
        `mic-${n}`,
        'optical',
        { ms: 1 },
        { sound: preampToDigital(`gain-${n}`, -126, 60, 110) },
      ),
    ),
    controls: {
      ...each(8, 'gain', (n) => gain(`Gain ${n}`, 0, 60, 40)),
      phantom: toggle('Phantom power, all channels'),
    },
  }),
  headphoneAmplifier('headphone-amplifier-4', 'Headphone amplifier, four people', 4),
  headphoneAmplifier('headphone-amplifier-8', 'Headphone amplifier, eight people', 8),
  deviceClass('headphones-closed', {
    name: 'Closed headphones',
    kind: 'headphones',
    step: 'hear and see',
    about: 'Let little out to the microphone. Mind the level: hearing does not come back.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Plug',
        connector: 'jack',
        nominal: 'headphone',
        balanced: false,
        inputOhms: 38,
        maxInDbu: null,
        earDbPerMw: 98,
        earVolumeControl: 'volume',
        ends: { sound: 'needed' },
      },
    },
    controls: { volume: gain('Volume where they are plugged in', -60, 0, -20) },
  }),
  deviceClass('loudspeaker-active', {
    name: 'Active loudspeaker',
    kind: 'loudspeaker',
    step: 'hear and see',
    about: 'Monitor with its own amplifier.',
    ports: {
      in: {
        ...lineIn('Input', 20, 'combo'),
        splAt0Dbu: 98,
        speakerVolumeControl: 'volume',
        speakerMuteControl: 'mute',
        ends: { sound: 'needed' },
      },
    },
    controls: {
      volume: gain('Volume', -60, 0, -20),
      mute: toggle('Muted while microphones are open'),
    },
  }),
  deviceClass('recorder-sound', {
    name: 'Sound recorder, four inputs',
    kind: 'recorder',
    step: 'take in',
    about:
      'Stand-alone recorder with its own preamps and a pair of line inputs; works when the computer does not.',
    ports: {
      ...each(4, 'mic', (n) => micIn(`Input ${n}`, 2000, 6, 'phantom', 40)),
      ...each(2, 'line', (n) => lineIn(`Line ${n}`, 22)),
      card: software('out', 'Card', { ends: { sound: 'needed' }, records: { control: null } }),
    },
    routes: {
      ...each<Route>(4, 'mic', (n) =>
        route(
          `mic-${n}`,
          'card',
          { ms: 1 },
          { sound: { ...preampToDigital(`gain-${n}`, -124, 60, 106), keepsApart: true } },
        ),
      ),
      ...each<Route>(2, 'line', (n) =>
        route(
          `line-${n}`,
          'card',
          { ms: 1 },
          {
            sound: {
              gain: { control: `line-gain-${n}` },
              ownNoiseDbu: -94,
              toDigital: { dynamicRangeDba: 106 },
              keepsApart: true,
            },
          },
        ),
      ),
    },
    controls: {
      ...each(4, 'gain', (n) => gain(`Gain ${n}`, 0, 60, 40)),
      ...each(2, 'line-gain', (n) => gain(`Line gain ${n}`, 0, 40, 0)),
      phantom: toggle('Phantom power'),
    },
  }),
  deviceClass('instrument-keyboard', {
    name: 'Keyboard, line output',
    kind: 'instrument',
    step: 'source',
    about: 'Electronic instrument at unbalanced line level.',
    ports: {
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'jack',
        nominal: 'line',
        balanced: false,
        sourceOhms: 600,
        maxOutDbu: 12,
        emits: { sound: { type: 'line', levelDbu: -6, crestDb: 12, noiseDbu: -84 } },
      },
    },
  }),
  deviceClass('player-sound', {
    name: 'Music player, consumer line output',
    kind: 'player',
    step: 'source',
    about: 'Jingles and music at −10 dBV on phono sockets.',
    ports: {
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'phono',
        nominal: 'consumer line',
        balanced: false,
        sourceOhms: 600,
        maxOutDbu: 8,
        emits: { sound: { type: 'line', levelDbu: -7.78, crestDb: 12, noiseDbu: -88 } },
      },
    },
  }),
];
