import { FIRST_CONNECTED } from '../rig/encoding';
import type { Mixes, Storage, Work } from '../rig/device-figures';
import type { Control, Model, PicturePort, Port, Route } from '../rig/model';
import {
  accepting,
  amount,
  AT_ONCE,
  captureFormats,
  choice,
  deviceClass,
  each,
  encodings,
  formats,
  gain,
  hdmi,
  HD_30,
  HD_60,
  idsOf,
  lineOut,
  preampToDigital,
  route,
  sdi,
  software,
  UHD_30,
  UHD_60,
  usbDevice,
  usbHost,
  consumerIn,
  lineIn,
  readsRange,
  sourceFormats,
  type FormatText,
  type Encoding,
} from './parts';
import type { UsbPort } from '../rig/model';

const capture = (
  id: string,
  name: string,
  about: string,
  gbps: UsbPort['gbps'],
  accepted: readonly FormatText[],
  payloadGbps: number,
  encodingList: readonly Encoding[],
  initial: Encoding,
  frames: number,
): Model =>
  deviceClass(id, {
    name,
    kind: 'capture',
    step: 'take in',
    about,
    ports: {
      in: { ...accepting(hdmi('in', 'HDMI in', payloadGbps), accepted), rangeControl: 'range' },
      usb: usbDevice(gbps),
    },
    routes: {
      picture: route(
        'in',
        'usb',
        { frames },
        {
          picture: {
            does: 'capture',
            formatControl: 'capture-format',
            encodingControl: 'encoding',
          },
        },
      ),
      sound: route('in', 'usb', null, { sound: {} }),
    },
    controls: {
      'capture-format': captureFormats(accepted),
      encoding: encodings(encodingList, initial),
      range: readsRange(),
    },
  });

export const captures: readonly Model[] = [
  capture(
    'capture-usb-2',
    'Capture device, USB 2.0',
    'Takes 1080p60, sends at most 1080p30, always compressed. Cheap and late.',
    0.48,
    HD_60,
    8.16,
    ['compressed'],
    'compressed',
    4,
  ),
  capture(
    'capture-5g',
    'Capture device, 5 Gb/s',
    'Uncompressed 1080p60 over a 5 Gb/s port.',
    5,
    HD_60,
    8.16,
    ['raw 16', 'raw 12', 'compressed'],
    'raw 16',
    2,
  ),
  capture(
    'capture-10g',
    'Capture device, 10 Gb/s',
    'Uncompressed 2160p30, or 2160p60 at 12 bits a pixel.',
    10,
    UHD_60,
    14.4,
    ['raw 16', 'raw 12', 'compressed'],
    'raw 12',
    2,
  ),
];

interface SwitcherDraft {
  readonly inputs: number;
  readonly port: (name: string) => PicturePort;
  readonly out: (name: string) => PicturePort;
  readonly scaler: boolean;
  readonly usb: UsbPort['gbps'] | null;
  readonly auxes: number;
  readonly multiview: boolean;
  readonly delayFrames: number;
  readonly mixes: Mixes;
  /** Balanced line inputs for sound instead of small unbalanced ones */
  readonly balancedSound?: true;
  readonly house?: readonly FormatText[];
  /** Records every input on a drive of its own */
  readonly records?: true;
}

/** A switcher's own format: told, or that of the first input with a plug in it. */
const houseFormats = (list: readonly FormatText[]): Control => {
  const told = formats('House format', list, '1920x1080p60');
  return told.type === 'choice'
    ? {
        ...told,
        options: [
          { value: FIRST_CONNECTED, label: 'As the first input connected' },
          ...told.options,
        ],
      }
    : told;
};

const switcher = (id: string, name: string, about: string, draft: SwitcherDraft): Model => {
  const inputs = idsOf(draft.inputs, 'in');
  const outs = [
    'programme',
    ...idsOf(draft.auxes, 'aux'),
    ...(draft.multiview ? ['multiview'] : []),
  ];
  const house: Route['picture'] = {
    does: 'house format',
    formatControl: 'house-format',
    scaler: draft.scaler,
  };
  return deviceClass(id, {
    name,
    kind: 'switcher',
    step: 'combine',
    about,
    mixes: draft.mixes,
    ...(draft.records
      ? {
          storage: {
            medium: 'solid state' as const,
            capacityGb: 1000,
            writeMBps: 110,
            bitrateControl: 'record-mbps',
          },
        }
      : {}),
    ports: {
      ...each(draft.inputs, 'in', (n) => draft.port(`Input ${n}`)),
      ...each(2, 'sound', (n) =>
        draft.balancedSound
          ? lineIn(`Sound in ${n}`, 24, 'xlr')
          : consumerIn(`Sound in ${n}`, 6, 'mini-jack'),
      ),
      programme: draft.out('Programme'),
      ...each(draft.auxes, 'aux', (n) => draft.out(`Auxiliary ${n}`)),
      ...(draft.multiview ? { multiview: draft.out('Multiview') } : {}),
      ...(draft.usb ? { usb: usbDevice(draft.usb) } : {}),
      ...(draft.records
        ? { drive: software('out', 'Drive', { ends: { picture: 'welcome' } }) }
        : {}),
    },
    routes: {
      picture: route(inputs, outs, { frames: draft.delayFrames }, { picture: house }),
      sound: route(inputs, outs, null, { sound: {} }),
      analogue: route(
        idsOf(2, 'sound'),
        [...outs, ...(draft.usb ? ['usb'] : [])],
        { ms: 2 },
        { sound: { ownNoiseDbu: -88, toDigital: { dynamicRangeDba: 92 } } },
      ),
      ...(draft.records
        ? { inputs: route(inputs, 'drive', { frames: 1 }, { picture: { does: 'pass' } }) }
        : {}),
      ...(draft.usb
        ? {
            'usb-picture': route(
              inputs,
              'usb',
              { frames: draft.delayFrames + 2 },
              {
                picture: {
                  does: 'capture',
                  formatControl: 'usb-format',
                  encodingControl: 'usb-encoding',
                },
              },
            ),
            'usb-sound': route(inputs, 'usb', null, { sound: {} }),
          }
        : {}),
    },
    controls: {
      'house-format': houseFormats(draft.house ?? HD_60),
      ...(draft.records
        ? { 'record-mbps': amount('Bitrate of each recording', 'Mb/s', 10, 400, 50, 10) }
        : {}),
      ...(draft.usb
        ? {
            'usb-format': formats('USB format', HD_60, '1920x1080p30'),
            'usb-encoding': encodings(['compressed', 'raw 16'], 'compressed'),
          }
        : {}),
    },
  });
};

const hdmiSwitcherPort =
  (direction: 'in' | 'out') =>
  (name: string): PicturePort =>
    accepting(hdmi(direction, name, 8.16), HD_60);

export const switchers: readonly Model[] = [
  switcher(
    'switcher-4',
    'Switcher, four HDMI inputs',
    'A scaler on every input, a USB output that a computer sees as a camera.',
    {
      inputs: 4,
      port: hdmiSwitcherPort('in'),
      out: (name) => hdmi('out', name, 8.16),
      scaler: true,
      usb: 5,
      auxes: 0,
      multiview: false,
      delayFrames: 1,
      mixes: { keyers: 1, resizingKeyers: 1, boxes: 0 },
    },
  ),
  switcher(
    'switcher-6',
    'Switcher, six HDMI inputs',
    'A scaler on every input, multiview, one auxiliary output and USB.',
    {
      inputs: 6,
      port: hdmiSwitcherPort('in'),
      out: (name) => hdmi('out', name, 8.16),
      scaler: true,
      usb: 5,
      auxes: 1,
      multiview: true,
      delayFrames: 1,
      mixes: { keyers: 1, resizingKeyers: 1, boxes: 0 },
    },
  ),
  switcher(
    'switcher-8',
    'Switcher, eight HDMI inputs',
    'Scalers, multiview, two auxiliary outputs and USB.',
    {
      inputs: 8,
      port: hdmiSwitcherPort('in'),
      out: (name) => hdmi('out', name, 8.16),
      scaler: true,
      usb: 5,
      auxes: 2,
      multiview: true,
      delayFrames: 1,
      mixes: { keyers: 4, resizingKeyers: 2, boxes: 0 },
    },
  ),
  switcher(
    'switcher-8-recording',
    'Switcher, eight HDMI inputs, records each',
    'As the one with eight inputs, and writes every input to a drive of its own.',
    {
      inputs: 8,
      port: hdmiSwitcherPort('in'),
      out: (name) => hdmi('out', name, 8.16),
      scaler: true,
      usb: 5,
      auxes: 2,
      multiview: true,
      delayFrames: 1,
      mixes: { keyers: 4, resizingKeyers: 2, boxes: 0 },
      records: true,
    },
  ),
  switcher(
    'switcher-20',
    'Switcher, twenty SDI inputs',
    'Large frame; every input must arrive in the house format.',
    {
      inputs: 20,
      port: (name) => sdi('in', name, 11.88),
      out: (name) => sdi('out', name, 11.88),
      scaler: false,
      usb: null,
      auxes: 6,
      multiview: true,
      delayFrames: 1,
      mixes: { keyers: 4, resizingKeyers: 4, boxes: 4 },
      house: UHD_60,
      balancedSound: true,
    },
  ),
];

const COMPUTER_BUFFER = { ms: 10.7 } as const;

/**
 * A computer's own programs: a programme made of everything that comes in, single tracks, single
 * pictures, and a call.
 */
const computer = (
  id: string,
  name: string,
  about: string,
  sockets: Readonly<Record<string, UsbPort>>,
  screens: number,
  work: Work,
  storage: Storage,
): Model => {
  const usb = Object.keys(sockets);
  const inputs = [...usb, 'call-in'];
  const canvas: Route['picture'] = { does: 'house format', formatControl: 'canvas', scaler: true };
  return deviceClass(id, {
    name,
    kind: 'computer',
    step: 'make',
    about,
    work,
    storage,
    mixes: { keyers: 16, resizingKeyers: 16, boxes: 16 },
    ports: {
      ...sockets,
      'call-in': software('in', 'From calls'),
      programme: software('out', 'Programme'),
      tracks: software('out', 'Single tracks'),
      pictures: software('out', 'Single pictures'),
      'call-out': software('out', 'To calls'),
      ...each(screens, 'screen', (n) => hdmi('out', `Screen ${n}`, 14.4)),
      network: { family: 'network', direction: 'in', name: 'Network', connector: 'rj45', gbps: 1 },
    },
    routes: {
      'programme-picture': route(inputs, 'programme', { frames: 2 }, { picture: canvas }),
      'programme-sound': route([...inputs, 'network'], 'programme', COMPUTER_BUFFER, {
        sound: { gain: { control: 'programme-trim' } },
      }),
      tracks: route([...inputs, 'network'], 'tracks', COMPUTER_BUFFER, {
        sound: { keepsApart: true },
      }),
      pictures: route(inputs, 'pictures', { frames: 1 }, { picture: { does: 'pass' } }),
      'call-picture': route(usb, 'call-out', { frames: 2 }, { picture: canvas }),
      'call-sound': route([...usb, 'network'], 'call-out', COMPUTER_BUFFER, { sound: {} }),
      'call-others': route('call-in', 'call-out', COMPUTER_BUFFER, {
        sound: {},
        exceptSource: true,
        when: { control: 'call-hears', is: 'everything but themself' },
      }),
      'call-echo': route('call-in', 'call-out', COMPUTER_BUFFER, {
        sound: {},
        when: { control: 'call-hears', is: 'programme' },
      }),
      'call-aloud': route('call-in', usb, COMPUTER_BUFFER, {
        sound: { gain: { control: 'call-volume' } },
      }),
      'call-shown': route('call-in', idsOf(screens, 'screen'), { frames: 1 }, { picture: canvas }),
      screens: route(usb, idsOf(screens, 'screen'), { frames: 2 }, { picture: canvas }),
    },
    controls: {
      canvas: formats(
        'Programme format',
        [...HD_30, '1920x1080p60', '3840x2160p30'],
        '1920x1080p30',
      ),
      'programme-trim': gain('Programme trim', -24, 24, 0, 0.5),
      'call-volume': gain('Volume of callers', -24, 24, 0, 0.5),
      'call-hears': choice(
        'A caller hears',
        [
          ['everything but themself', 'Everything but themself'],
          ['programme', 'The programme'],
        ],
        'everything but themself',
      ),
    },
  });
};

export const computers: readonly Model[] = [
  computer(
    'computer-laptop',
    'Laptop',
    'One computer that does everything: two fast ports and one slow one.',
    {
      'usb-1': usbHost('USB 1', 10, 'a', 'usb-c'),
      'usb-2': usbHost('USB 2', 5, 'a'),
      'usb-3': usbHost('USB 3', 0.48, 'b'),
    },
    1,
    { budget: 12, hardwareEncodes: 3 },
    { medium: 'solid state', capacityGb: 500, writeMBps: 400 },
  ),
  computer(
    'computer-desktop',
    'Desktop computer',
    'More ports on more controllers, and two screens.',
    {
      'usb-1': usbHost('USB 1', 10, 'a', 'usb-c'),
      'usb-2': usbHost('USB 2', 5, 'b'),
      'usb-3': usbHost('USB 3', 5, 'b'),
      'usb-4': usbHost('USB 4', 5, 'c'),
      'usb-5': usbHost('USB 5', 0.48, 'd'),
      'usb-6': usbHost('USB 6', 0.48, 'd'),
    },
    2,
    { budget: 24, hardwareEncodes: 4 },
    { medium: 'solid state', capacityGb: 2000, writeMBps: 450 },
  ),
];

const hub = (id: string, name: string, gbps: UsbPort['gbps'], sockets: number): Model =>
  deviceClass(id, {
    name,
    kind: 'hub',
    step: 'take in',
    about:
      'Shares one port of the computer between several devices. Capture devices do better without it.',
    ports: {
      up: usbDevice(gbps, 'usb-b', 'To the computer'),
      ...each(sockets, 'usb', (n) => usbHost(`Socket ${n}`, gbps)),
    },
    routes: {
      up: route(idsOf(sockets, 'usb'), 'up', AT_ONCE, { sound: {}, picture: { does: 'pass' } }),
      down: route('up', idsOf(sockets, 'usb'), AT_ONCE, { sound: {}, picture: { does: 'pass' } }),
    },
  });

export const hubs: readonly Model[] = [
  hub('hub-5g', 'USB hub, 5 Gb/s, four sockets', 5, 4),
  hub('hub-usb-2', 'USB hub, 480 Mb/s, four sockets', 0.48, 4),
];

const screen = (
  id: string,
  name: string,
  kind: Model['kind'],
  about: string,
  list: readonly FormatText[],
  gbps: number,
  sound: boolean,
): Model =>
  deviceClass(id, {
    name,
    kind,
    step: 'hear and see',
    about,
    ports: {
      in: {
        ...accepting(hdmi('in', 'HDMI in', gbps), list),
        ends: { picture: 'needed', ...(sound ? { sound: 'welcome' as const } : {}) },
      },
    },
  });

const destination = (
  id: string,
  name: string,
  kind: Model['kind'],
  about: string,
  ends: Port['ends'],
  wire = false,
): Model =>
  deviceClass(id, {
    name,
    kind,
    step: 'deliver',
    about,
    ports: {
      in: software('in', 'From the computer', ends ? { ends } : {}),
      ...(wire
        ? {
            wire: {
              family: 'network' as const,
              direction: 'in' as const,
              name: 'From an encoder',
              connector: 'rj45' as const,
              gbps: 1,
              ...(ends ? { ends } : {}),
            },
          }
        : {}),
    },
  });

export const outlets: readonly Model[] = [
  screen(
    'display-monitor',
    'Monitor, 1080p',
    'display',
    'Confidence monitor or multiview.',
    HD_60,
    8.16,
    true,
  ),
  screen('display-2160', 'Monitor, 2160p', 'display', 'Large monitor.', UHD_60, 14.4, true),
  screen(
    'prompter',
    'Prompter display',
    'prompter',
    'A small display behind glass in front of a lens; often just a second screen.',
    HD_60,
    8.16,
    false,
  ),
  deviceClass('encoder-hardware', {
    name: 'Hardware encoder',
    kind: 'encoder',
    step: 'make',
    about: 'Streams by itself over a wired network.',
    ports: {
      in: accepting(hdmi('in', 'HDMI in', 8.16), HD_60),
      network: { family: 'network', direction: 'out', name: 'Network', connector: 'rj45', gbps: 1 },
    },
    routes: {
      encode: route(
        'in',
        'network',
        { ms: 250 },
        {
          sound: {},
          picture: { does: 'capture', formatControl: 'stream-format', encodingControl: 'coding' },
        },
      ),
    },
    controls: {
      'stream-format': formats('Stream format', HD_60, '1920x1080p30'),
      coding: encodings(['compressed'], 'compressed'),
    },
  }),
  deviceClass('encoder-hardware-sdi', {
    name: 'Hardware encoder, SDI',
    kind: 'encoder',
    step: 'make',
    about: 'Streams by itself over a wired network, from an SDI run.',
    ports: {
      in: accepting(sdi('in', 'SDI in', 2.97), HD_60),
      network: { family: 'network', direction: 'out', name: 'Network', connector: 'rj45', gbps: 1 },
    },
    routes: {
      encode: route(
        'in',
        'network',
        { ms: 250 },
        {
          sound: {},
          picture: { does: 'capture', formatControl: 'stream-format', encodingControl: 'coding' },
        },
      ),
    },
    controls: {
      'stream-format': formats('Stream format', HD_60, '1920x1080p30'),
      coding: encodings(['compressed'], 'compressed'),
    },
  }),
  deviceClass('recorder-picture-sdi', {
    name: 'Picture recorder, SDI',
    kind: 'recorder',
    step: 'deliver',
    about:
      'Records one SDI picture with its sound on a drive of its own, and passes the picture on.',
    ports: {
      in: { ...sdi('in', 'SDI in', 11.88), ends: { picture: 'needed', sound: 'welcome' } },
      loop: sdi('out', 'Loop output', 11.88),
    },
    routes: { loop: route('in', 'loop', AT_ONCE, { sound: {}, picture: { does: 'pass' } }) },
    controls: { 'record-mbps': amount('Bitrate', 'Mb/s', 10, 1000, 100, 10) },
    storage: {
      medium: 'solid state',
      capacityGb: 500,
      writeMBps: 90,
      bitrateControl: 'record-mbps',
    },
  }),
  deviceClass('display-sdi', {
    name: 'Monitor, SDI',
    kind: 'display',
    step: 'hear and see',
    about: 'Confidence monitor or multiview at the end of an SDI run.',
    ports: {
      in: {
        ...accepting(sdi('in', 'SDI in', 2.97), HD_60),
        ends: { picture: 'needed', sound: 'welcome' },
      },
    },
  }),
  deviceClass('recorder-picture', {
    name: 'Picture recorder',
    kind: 'recorder',
    step: 'deliver',
    about: 'Records one picture with its sound on a drive of its own, and passes the picture on.',
    ports: {
      in: {
        ...accepting(hdmi('in', 'HDMI in', 8.16), UHD_30),
        ends: { picture: 'needed', sound: 'welcome' },
      },
      loop: hdmi('out', 'Loop output', 8.16),
    },
    routes: { loop: route('in', 'loop', AT_ONCE, { sound: {}, picture: { does: 'pass' } }) },
    controls: { 'record-mbps': amount('Bitrate', 'Mb/s', 10, 1000, 100, 10) },
    storage: {
      medium: 'card',
      capacityGb: 256,
      writeMBps: 60,
      maxFileGb: 4,
      bitrateControl: 'record-mbps',
    },
  }),
  destination(
    'stream',
    'Live stream',
    'stream',
    'What the audience gets while it happens.',
    { picture: 'needed', sound: 'needed' },
    true,
  ),
  destination(
    'recording-programme',
    'Programme recording',
    'recording',
    'The finished programme in one file.',
    { picture: 'welcome', sound: 'needed' },
  ),
  destination(
    'recording-tracks',
    'Recording, a track per voice',
    'recording',
    'Every sound source in a file of its own, to mix again.',
    { sound: 'needed' },
  ),
  destination(
    'recording-pictures',
    'Recording, a file per picture',
    'recording',
    'Every picture in a file of its own, to cut again.',
    { picture: 'needed' },
  ),
  deviceClass('call', {
    name: 'Remote guest by call',
    kind: 'call',
    step: 'source',
    about:
      'Someone elsewhere, through a program on the computer. They must hear everything but themself.',
    ports: {
      receive: software('out', 'From the guest', {
        emits: {
          picture: {
            formatControl: 'format',
            clean: true,
            copyProtected: false,
            encodingControl: null,
          },
          sound: { type: 'digital', levelDbfs: -20, crestDb: 14, noiseDbfs: -66 },
        },
      }),
      send: software('in', 'To the guest', { ends: { sound: 'needed', picture: 'welcome' } }),
    },
    controls: { format: sourceFormats('Picture received', HD_30, '1280x720p30') },
  }),
  deviceClass('camera-mic-input', {
    name: 'Camera with microphone input',
    kind: 'camera',
    step: 'source',
    about: 'A camera that also records sound from a microphone socket.',
    ports: {
      hdmi: {
        ...hdmi('out', 'HDMI', 8.16, 'micro-hdmi'),
        emits: {
          picture: {
            formatControl: 'format',
            clean: true,
            copyProtected: false,
            encodingControl: null,
          },
        },
      },
      mic: {
        family: 'analogue',
        direction: 'in',
        name: 'Microphone input',
        connector: 'mini-jack',
        nominal: 'microphone',
        balanced: false,
        inputOhms: 2200,
        maxInDbu: -10,
      },
      card: software('out', 'Card', { ends: { sound: 'welcome' } }),
    },
    routes: {
      record: route('mic', 'card', { ms: 1 }, { sound: preampToDigital('mic-gain', -112, 30, 88) }),
    },
    controls: {
      format: sourceFormats('Output format', HD_60, '1920x1080p60'),
      'mic-gain': gain('Microphone gain', 0, 30, 10),
    },
  }),
  deviceClass('converter-line', {
    name: 'Line level converter, −10 dBV to +4 dBu',
    kind: 'converter',
    step: 'lift',
    about: 'Lifts consumer line to professional line and balances it.',
    ports: { in: consumerIn('Input', 10), out: lineOut('Output', 22) },
    routes: {
      lift: route('in', 'out', AT_ONCE, { sound: { gain: { db: 11.78 }, ownNoiseDbu: -100 } }),
    },
  }),
];
