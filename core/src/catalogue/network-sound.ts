import type { Model, Route } from '../rig/devices/model';
import type { Port } from '../rig/devices/ports';
import {
  AT_ONCE,
  deviceClass,
  each,
  gain,
  idsOf,
  lineOut,
  phonesOut,
  route,
  usbDevice,
} from './parts';

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
            toAnalogue: { fullScaleDbu: 12, dynamicRangeDba: 108 },
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
