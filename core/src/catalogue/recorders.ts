import type { Model, Route } from '../rig/devices/model';
import {
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
  software,
  toggle,
  usbDevice,
} from './parts';

/** Recorders of sound. */
export const recorders: readonly Model[] = [
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
];
