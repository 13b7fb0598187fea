import type { Model, Port, Route } from '../rig/model';
import {
  AT_ONCE,
  consumerIn,
  deviceClass,
  each,
  gain,
  idsOf,
  lineIn,
  lineOut,
  micIn,
  phonesOut,
  preampToDigital,
  route,
  software,
  toggle,
  usbDevice,
} from './parts';

/** Round trip through a converter and a driver's buffer of 256 samples at 48 kHz, one way. @unit ms */
const CONVERSION_DELAY = { ms: 6.3 } as const;

interface InterfaceDraft {
  readonly name: string;
  readonly about: string;
  readonly microphones: number;
  readonly lines: number;
  readonly inputOhms: number;
  readonly maxInDbu: number;
  readonly maxGainDb: number;
  readonly einDbu: number;
  readonly dynamicRangeDba: number;
  /** Channels powered by one switch */
  readonly phantomGroup: number;
  readonly pads: boolean;
  readonly optical: boolean;
  readonly phones: number;
}

const phantomSwitch = (channel: number, draft: InterfaceDraft): string =>
  `phantom-${Math.ceil(channel / draft.phantomGroup)}`;
const phantomLabel = (n: number, draft: InterfaceDraft): string =>
  draft.phantomGroup === 1
    ? `Phantom power ${n}`
    : `Phantom power ${(n - 1) * draft.phantomGroup + 1}–${n * draft.phantomGroup}`;

const soundInterface = (id: string, draft: InterfaceDraft): Model =>
  deviceClass(id, {
    name: draft.name,
    kind: 'interface',
    step: 'take in',
    about: draft.about,
    ports: {
      ...each(draft.microphones, 'mic', (n) =>
        micIn(`Input ${n}`, draft.inputOhms, draft.maxInDbu, phantomSwitch(n, draft)),
      ),
      ...each(draft.lines, 'line', (n) => lineIn(`Line ${n}`)),
      ...(draft.optical
        ? {
            optical: {
              family: 'digital sound',
              direction: 'in',
              name: 'Optical in',
              connector: 'optical',
              channels: 8,
              rateHz: 48_000,
            } as const,
          }
        : {}),
      usb: usbDevice(0.48),
      ...each(2, 'out', (n) => lineOut(`Output ${n}`, 18)),
      ...each(draft.phones, 'phones', (n) => phonesOut(`Headphones ${n}`)),
    },
    routes: {
      ...each<Route>(draft.microphones, 'mic', (n) =>
        route(`mic-${n}`, 'usb', CONVERSION_DELAY, {
          sound: preampToDigital(
            `gain-${n}`,
            draft.einDbu,
            draft.maxGainDb,
            draft.dynamicRangeDba,
            draft.pads ? `pad-${n}` : undefined,
          ),
        }),
      ),
      ...each<Route>(draft.lines, 'line', (n) =>
        route(`line-${n}`, 'usb', CONVERSION_DELAY, {
          sound: { ownNoiseDbu: -96, toDigital: { dynamicRangeDba: draft.dynamicRangeDba } },
        }),
      ),
      ...(draft.optical ? { optical: route('optical', 'usb', { ms: 5.5 }, { sound: {} }) } : {}),
      monitor: route(
        'usb',
        [...idsOf(draft.phones, 'phones'), ...idsOf(2, 'out')],
        CONVERSION_DELAY,
        {
          // What full scale came in as, it goes out as.
          sound: {
            gain: { control: 'listen' },
            toAnalogue: { fullScaleDbu: draft.maxInDbu, dynamicRangeDba: 110 },
          },
        },
      ),
      ...each<Route>(draft.microphones, 'direct', (n) =>
        route(
          `mic-${n}`,
          [...idsOf(draft.phones, 'phones'), ...idsOf(2, 'out')],
          { ms: 0.5 },
          {
            sound: {
              gain: { control: `gain-${n}` },
              ...(draft.pads ? { pad: { control: `pad-${n}`, db: -20 } } : {}),
            },
            when: { control: 'direct', is: true },
          },
        ),
      ),
    },
    controls: {
      ...each(draft.microphones, 'gain', (n) => gain(`Gain ${n}`, 0, draft.maxGainDb, 40)),
      ...each(Math.ceil(draft.microphones / draft.phantomGroup), 'phantom', (n) =>
        toggle(phantomLabel(n, draft)),
      ),
      ...(draft.pads ? each(draft.microphones, 'pad', (n) => toggle(`Pad ${n}, 20 dB`)) : {}),
      listen: gain('Monitor level', -60, 0, -20),
      direct: toggle('Direct monitoring', true),
    },
    spread: { 'routes.mic-1.sound.ein.0.dbu': [draft.einDbu - 1.5, draft.einDbu + 4] },
  });

export const interfaces: readonly Model[] = [
  soundInterface('interface-2', {
    name: 'Interface, two microphones',
    about: 'Modest USB interface with 54 dB of gain. One phantom switch for both inputs.',
    microphones: 2,
    lines: 2,
    inputOhms: 3000,
    maxInDbu: 10,
    maxGainDb: 54,
    einDbu: -127,
    dynamicRangeDba: 110,
    phantomGroup: 2,
    pads: false,
    optical: false,
    phones: 1,
  }),
  soundInterface('interface-4', {
    name: 'Interface, four microphones',
    about: 'USB interface with 69 dB of clean gain, phantom power in pairs and a pad an input.',
    microphones: 4,
    lines: 4,
    inputOhms: 3000,
    maxInDbu: 16,
    maxGainDb: 69,
    einDbu: -128.5,
    dynamicRangeDba: 117,
    phantomGroup: 2,
    pads: true,
    optical: true,
    phones: 2,
  }),
  soundInterface('interface-8', {
    name: 'Interface, eight microphones',
    about: 'Rack interface with optical expansion for eight more channels.',
    microphones: 8,
    lines: 2,
    inputOhms: 3500,
    maxInDbu: 18,
    maxGainDb: 65,
    einDbu: -128,
    dynamicRangeDba: 116,
    phantomGroup: 4,
    pads: true,
    optical: true,
    phones: 2,
  }),
];

const mixer = (
  id: string,
  name: string,
  about: string,
  microphones: number,
  maxGainDb: number,
  einDbu: number,
  phones: number,
): Model =>
  deviceClass(id, {
    name,
    kind: 'mixer',
    step: 'combine',
    about,
    ports: {
      ...each(microphones, 'mic', (n) =>
        micIn(`Channel ${n}`, 2500, 16, 'phantom', 10 * microphones),
      ),
      ...each(2, 'line', (n) => lineIn(`Line ${n}`)),
      ...each(2, 'tape', (n) => consumerIn(`Consumer in ${n}`)),
      usb: usbDevice(0.48, 'usb-b'),
      ...each(2, 'main', (n) => lineOut(`Main ${n}`, 22, 'xlr')),
      ...each(phones, 'phones', (n) => phonesOut(`Headphones ${n}`)),
    },
    routes: {
      ...each<Route>(microphones, 'usb', (n) =>
        route(`mic-${n}`, 'usb', CONVERSION_DELAY, {
          sound: preampToDigital(`gain-${n}`, einDbu, maxGainDb, 108),
        }),
      ),
      ...each<Route>(microphones, 'mix', (n) =>
        route(`mic-${n}`, idsOf(2, 'main'), AT_ONCE, {
          sound: {
            gain: { control: `gain-${n}` },
            ein: [{ gainDb: maxGainDb, dbu: einDbu }],
            outputNoiseDbu: -84,
          },
        }),
      ),
      lines: route([...idsOf(2, 'line'), ...idsOf(2, 'tape')], idsOf(2, 'main'), AT_ONCE, {
        sound: { ownNoiseDbu: -94, outputNoiseDbu: -84 },
      }),
      'lines-usb': route([...idsOf(2, 'line'), ...idsOf(2, 'tape')], 'usb', CONVERSION_DELAY, {
        sound: { ownNoiseDbu: -94, toDigital: { dynamicRangeDba: 108 } },
      }),
      return: route('usb', [...idsOf(phones, 'phones'), ...idsOf(2, 'main')], CONVERSION_DELAY, {
        sound: {
          gain: { control: 'return' },
          toAnalogue: { fullScaleDbu: 16, dynamicRangeDba: 105 },
        },
      }),
      ...each<Route>(microphones, 'hear', (n) =>
        route(`mic-${n}`, idsOf(phones, 'phones'), AT_ONCE, {
          sound: { gain: { control: `gain-${n}` } },
        }),
      ),
    },
    controls: {
      ...each(microphones, 'gain', (n) => gain(`Gain ${n}`, 0, maxGainDb, 40)),
      phantom: toggle('Phantom power, all channels'),
      return: gain('USB return', -60, 0, -20),
    },
  });

export const mixers: readonly Model[] = [
  mixer(
    'mixer-4',
    'Podcast mixer, four microphones',
    'Four channels with headphones for each and a track a channel over USB.',
    4,
    70,
    -127.5,
    4,
  ),
  mixer(
    'mixer-8',
    'Analogue mixer, eight microphones',
    'Compact desk with a main mix and USB.',
    8,
    60,
    -127,
    1,
  ),
  mixer(
    'mixer-16',
    'Digital mixer, sixteen microphones',
    'Sixteen preamps and a main mix, a track a channel over USB.',
    16,
    60,
    -126,
    2,
  ),
];

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
      route('in', `phones-${n}`, AT_ONCE, { sound: { gain: { control: `level-${n}` } } }),
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
      card: software('out', 'Card', { ends: { sound: 'needed' } }),
    },
    routes: {
      ...each<Route>(4, 'mic', (n) =>
        route(
          `mic-${n}`,
          'card',
          { ms: 1 },
          { sound: preampToDigital(`gain-${n}`, -124, 60, 106) },
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

const networkPort = (
  name: string,
  direction: 'in' | 'out' | 'both' = 'both',
  soundChannels?: number,
): Port => ({
  family: 'network',
  direction,
  name,
  connector: 'rj45',
  gbps: 1,
  ...(soundChannels === undefined ? {} : { soundChannels }),
});

/** Every socket to every other one. */
const between = (count: number, more: Partial<Route> = {}): Record<string, Route> =>
  each<Route>(count, 'from', (n) => ({
    ...route(
      `port-${n}`,
      idsOf(count, 'port').filter((id) => id !== `port-${n}`),
      AT_ONCE,
      { sound: {} },
    ),
    ...more,
  }));

/** Sound over the network, and what listens to it. */
export const networkSound: readonly Model[] = [
  deviceClass('network-switch-8', {
    name: 'Network switch, eight sockets',
    kind: 'hub',
    step: 'combine',
    about:
      'Joins stage boxes, desks, personal mixers and computers. One for sound alone, managed, is quieter to live with.',
    ports: each(8, 'port', (n) => networkPort(`Socket ${n}`)),
    routes: between(8),
  }),
  deviceClass('network-switch-16', {
    name: 'Network switch, sixteen sockets',
    kind: 'hub',
    step: 'combine',
    about: 'Joins stage boxes, desks, personal mixers and computers.',
    ports: each(16, 'port', (n) => networkPort(`Socket ${n}`)),
    routes: between(16),
  }),
  deviceClass('desk-network', {
    name: 'Digital desk on the network',
    kind: 'mixer',
    step: 'combine',
    about: 'Mixes what stage boxes put on the network; main mix, two more mixes, headphones.',
    ports: {
      network: networkPort('Network', 'both', 64),
      ...each(2, 'main', (n) => lineOut(`Main ${n}`, 24, 'xlr')),
      ...each(2, 'mix', (n) => lineOut(`Mix ${n}`, 24, 'xlr')),
      phones: phonesOut('Headphones'),
    },
    routes: {
      mix: route(
        'network',
        idsOf(2, 'mix'),
        { ms: 1.5 },
        {
          sound: {
            gain: { control: 'mix' },
            toAnalogue: { fullScaleDbu: 24, dynamicRangeDba: 112 },
          },
        },
      ),
      main: route(
        'network',
        idsOf(2, 'main'),
        { ms: 1.5 },
        {
          sound: {
            gain: { control: 'main' },
            toAnalogue: { fullScaleDbu: 24, dynamicRangeDba: 112 },
          },
        },
      ),
      phones: route(
        'network',
        'phones',
        { ms: 1.5 },
        {
          sound: {
            gain: { control: 'phones' },
            toAnalogue: { fullScaleDbu: 18, dynamicRangeDba: 108 },
          },
        },
      ),
    },
    controls: {
      main: gain('Main', -60, 10, 0, 0.5),
      mix: gain('Mixes', -60, 10, -10, 0.5),
      phones: gain('Headphones', -60, 10, -20),
    },
  }),
  deviceClass('personal-mixer', {
    name: 'Personal mixer',
    kind: 'headphone-amplifier',
    step: 'hear and see',
    about: 'Somebody makes their own mix of what is on the network, in their own headphones.',
    ports: { network: networkPort('Network', 'in', 40), phones: phonesOut('Headphones', 15) },
    routes: {
      mix: route(
        'network',
        'phones',
        { ms: 2 },
        {
          sound: {
            gain: { control: 'level' },
            toAnalogue: { fullScaleDbu: 15, dynamicRangeDba: 105 },
          },
        },
      ),
    },
    controls: { level: gain('Level', -60, 10, -20) },
  }),
  deviceClass('intercom-base', {
    name: 'Intercom base, eight packs',
    kind: 'mixer',
    step: 'combine',
    about: 'Everybody on the line hears everybody but themself.',
    ports: each(8, 'port', (n) => networkPort(`Pack ${n}`)),
    routes: between(8, { exceptSource: true }),
  }),
  deviceClass('intercom-pack', {
    name: 'Intercom pack with headset',
    kind: 'headphones',
    step: 'hear and see',
    about: 'Talk and listen on one cable. Mind the level: hearing does not come back.',
    ports: {
      line: {
        ...networkPort('Line'),
        emits: { sound: { type: 'digital', levelDbfs: -20, crestDb: 14, noiseDbfs: -66 } },
        ends: { sound: 'needed' },
      },
    },
  }),
];
