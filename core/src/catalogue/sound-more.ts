import type { Model, Route } from '../rig/devices/model';
import type { AnaloguePort } from '../rig/devices/ports';
import {
  amount,
  AT_ONCE,
  deviceClass,
  each,
  gain,
  idsOf,
  lineIn,
  lineOut,
  micIn,
  mouthDistance,
  phonesOut,
  preampToDigital,
  route,
  sdi,
  software,
  toggle,
  usbDevice,
} from './parts';
import { accepting, HD_60 } from './picture-parts';

/** Sound that is recorded by hand, carried by radio or by picture, and sent to loudspeakers. */

/** Sound by radio: nothing to plug, and as loud as it was sent. */
const radio = (direction: 'in' | 'out', name: string): AnaloguePort => ({
  family: 'analogue',
  direction,
  name,
  connector: 'radio',
  nominal: 'line',
  balanced: false,
  ...(direction === 'in'
    ? { inputOhms: 1_000_000, maxInDbu: 18 }
    : { sourceOhms: 0, maxOutDbu: 18 }),
});

export const soundMore: readonly Model[] = [
  deviceClass('recorder-hand', {
    name: 'Hand recorder with its own microphones',
    kind: 'recorder',
    step: 'take in',
    about:
      'Two capsules on top, two microphone sockets below, and a card. Lies on a table as a ' +
      'second recording, or goes along.',
    ports: {
      capsules: {
        family: 'analogue',
        direction: 'both',
        name: 'Own microphones',
        connector: 'software',
        nominal: 'microphone',
        balanced: false,
        sourceOhms: 200,
        maxOutDbu: null,
        inputOhms: 10_000,
        maxInDbu: -10,
        emits: {
          sound: {
            type: 'microphone',
            sensitivityMvPerPa: 12,
            selfNoiseDbaSpl: 24,
            maxSpl: 126,
            distanceControl: 'distance',
            pattern: 'cardioid',
          },
        },
      },
      ...each(2, 'mic', (n) => micIn(`Input ${n}`, 2000, 4, 'phantom', 20)),
      phones: phonesOut('Headphones', 4),
      out: {
        ...lineOut('Line output', 0, 'mini-jack', 220),
        nominal: 'consumer line',
        balanced: false,
      },
      usb: usbDevice(0.48),
      card: software('out', 'Card', {
        ends: { sound: 'welcome' },
        records: { control: 'record' },
      }),
    },
    routes: {
      capsules: route(
        'capsules',
        ['card', 'usb'],
        { ms: 1 },
        { sound: { ...preampToDigital('capsule-gain', -120, 50, 96), keepsApart: true } },
      ),
      ...each<Route>(2, 'mic', (n) =>
        route(
          `mic-${n}`,
          ['card', 'usb'],
          { ms: 1 },
          { sound: { ...preampToDigital(`gain-${n}`, -121, 55, 98), keepsApart: true } },
        ),
      ),
      hear: route(['capsules', ...idsOf(2, 'mic')], ['phones', 'out'], AT_ONCE, {
        sound: { gain: { control: 'listen' }, outputNoiseDbu: -90 },
      }),
    },
    controls: {
      distance: mouthDistance(0.5),
      'capsule-gain': gain('Gain of its own microphones', 0, 50, 30),
      ...each(2, 'gain', (n) => gain(`Gain ${n}`, 0, 55, 40)),
      phantom: toggle('Phantom power'),
      record: toggle('Records on its card', true),
      listen: gain('Headphones', 0, 50, 30),
    },
    storage: { medium: 'card', capacityGb: 32, writeMBps: 20 },
    batteryMin: 360,
  }),
  deviceClass('recorder-phone', {
    name: 'Phone as a sound recorder',
    kind: 'recorder',
    step: 'take in',
    about: 'A phone in a pocket that records what a small microphone with a plug sends it.',
    ports: {
      mic: {
        family: 'analogue',
        direction: 'in',
        name: 'Microphone socket',
        connector: 'mini-jack',
        nominal: 'microphone',
        balanced: false,
        inputOhms: 2200,
        maxInDbu: -22,
      },
      memory: software('out', 'Memory', {
        ends: { sound: 'welcome' },
        records: { control: 'record' },
      }),
    },
    routes: {
      record: route('mic', 'memory', { ms: 5 }, { sound: preampToDigital('gain', -112, 40, 88) }),
    },
    controls: { gain: gain('Gain', 0, 40, 20), record: toggle('Records', true) },
    storage: { medium: 'solid state', capacityGb: 128, writeMBps: 100 },
    batteryMin: 480,
  }),
  deviceClass('in-ear-transmitter', {
    name: 'In-ear transmitter',
    kind: 'wireless',
    step: 'hear and see',
    about: 'Sends one mix by radio to as many packs as listen.',
    ports: { in: lineIn('Input', 22, 'combo'), radio: radio('out', 'Radio') },
    routes: {
      send: route(
        'in',
        'radio',
        { ms: 2 },
        { sound: { gain: { control: 'level' }, outputNoiseDbu: -72 } },
      ),
    },
    controls: { level: gain('Level', -40, 10, 0) },
  }),
  deviceClass('in-ear-pack', {
    name: 'In-ear pack with earphones',
    kind: 'headphones',
    step: 'hear and see',
    about:
      'Worn; no cable to trip over. Mind the level: hearing does not come back, and a limiter is no promise.',
    ports: {
      radio: {
        ...radio('in', 'Radio'),
        nominal: 'headphone',
        inputOhms: 16,
        earDbPerMw: 102,
        earVolumeControl: 'volume',
        ends: { sound: 'needed' },
      },
    },
    controls: { volume: gain('Volume of the pack', -60, 0, -30) },
    batteryMin: 300,
  }),
  deviceClass('loudspeaker-processor', {
    name: 'Loudspeaker processor',
    kind: 'channel-processor',
    step: 'hear and see',
    about: 'Two lines in, four to loudspeakers, each with its level and its delay.',
    ports: {
      ...each(2, 'in', (n) => lineIn(`Input ${n}`, 22, 'xlr')),
      ...each(4, 'out', (n) => lineOut(`Output ${n}`, 20, 'xlr')),
    },
    routes: each<Route>(4, 'out', (n) =>
      route(
        idsOf(2, 'in'),
        `out-${n}`,
        { control: `delay-${n}` },
        { sound: { gain: { control: `level-${n}` }, outputNoiseDbu: -90 } },
      ),
    ),
    controls: {
      ...each(4, 'level', (n) => gain(`Level ${n}`, -60, 6, 0, 0.5)),
      ...each(4, 'delay', (n) => amount(`Delay ${n}`, 'ms', 1, 600, 1, 0.1)),
    },
  }),
  deviceClass('embedder-sdi', {
    name: 'Sound into SDI',
    kind: 'converter',
    step: 'shape',
    about: 'Puts two line inputs onto an SDI picture. Needs its own power.',
    needsSupply: true,
    ports: {
      in: accepting(sdi('in', 'SDI in', 2.97), HD_60),
      ...each(2, 'line', (n) => lineIn(`Line ${n}`, 24, 'xlr')),
      out: sdi('out', 'SDI out', 2.97),
    },
    routes: {
      picture: route('in', 'out', AT_ONCE, { picture: { does: 'pass' } }),
      sound: route(
        idsOf(2, 'line'),
        'out',
        { ms: 1 },
        { sound: { ownNoiseDbu: -92, toDigital: { dynamicRangeDba: 106 } } },
      ),
    },
  }),
  deviceClass('de-embedder-sdi', {
    name: 'Sound out of SDI',
    kind: 'converter',
    step: 'shape',
    about: 'Takes the sound off an SDI picture to two line outputs. Needs its own power.',
    needsSupply: true,
    ports: {
      in: accepting(sdi('in', 'SDI in', 2.97), HD_60),
      out: sdi('out', 'SDI loop', 2.97),
      ...each(2, 'line', (n) => lineOut(`Line ${n}`, 24, 'xlr')),
    },
    routes: {
      picture: route('in', 'out', AT_ONCE, { sound: {}, picture: { does: 'pass' } }),
      sound: route(
        'in',
        idsOf(2, 'line'),
        { ms: 1 },
        { sound: { toAnalogue: { fullScaleDbu: 24, dynamicRangeDba: 106 } } },
      ),
    },
  }),
  deviceClass('card-network-sound', {
    name: 'Network sound in the computer',
    kind: 'interface',
    step: 'take in',
    about: 'A card that gives a computer the sound of the network, and puts the computer’s on it.',
    ports: {
      network: {
        family: 'network',
        direction: 'both',
        name: 'Network',
        connector: 'rj45',
        gbps: 1,
        soundChannels: 64,
      },
      usb: usbDevice(10, 'usb-c', 'To the computer'),
    },
    routes: {
      in: route('network', 'usb', { ms: 1.5 }, { sound: {} }),
      out: route('usb', 'network', { ms: 1.5 }, { sound: {} }),
    },
  }),
];
