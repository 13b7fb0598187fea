import type { Storage, Work } from '../rig/devices/device-figures';
import type { Model, Route } from '../rig/devices/model';
import type { UsbPort } from '../rig/devices/ports';
import {
  AT_ONCE,
  choice,
  deviceClass,
  each,
  gain,
  hdmi,
  idsOf,
  phonesOut,
  route,
  software,
  toggle,
  usbDevice,
  usbHost,
} from './parts';
import { CANVASES, formats, UHD_60 } from './picture-parts';
import type { ClassId } from './typical-figures';

const COMPUTER_BUFFER = { ms: 10.7 } as const;

const PROGRAMME_SOUND = { gain: { control: 'programme-trim' } } as const;

/** The switch that lets what comes in by a port be heard in the programme: its picture is shown either way. */
const heardBy = (port: string): string => `${port}-heard`;

/** What its own programs and its mix send out again: by interfaces, the network, screens and headphones. */
const returns = (usb: readonly string[], outputs: readonly string[]): Record<string, Route> => {
  const digital = outputs.filter((id) => id !== 'headphones');
  const toEars = { fullScaleDbu: 6, dynamicRangeDba: 96 };
  const heard = (
    from: readonly string[],
    switchControl: string,
    volume: string,
  ): Record<'out' | 'ears', Route> => {
    const carries = { when: { control: switchControl, is: true } };
    const gainBy = { gain: { control: volume } };
    return {
      out: route(from, digital, COMPUTER_BUFFER, { sound: gainBy, ...carries }),
      ears: route(from, 'headphones', COMPUTER_BUFFER, {
        sound: { ...gainBy, toAnalogue: toEars },
        ...carries,
      }),
    };
  };
  const programs = heard(['programs-in'], 'programs-aloud', 'programs-volume');
  const mix = heard([...usb, 'network'], 'mix-aloud', 'mix-volume');
  const callers = heard(['call-in'], 'mix-aloud', 'mix-volume');
  return {
    'callers-out': { ...callers.out, to: digital.filter((id) => !usb.includes(id)) },
    'programs-out': programs.out,
    'programs-ears': programs.ears,
    'mix-out': mix.out,
    'mix-ears': mix.ears,
    'call-ears': route('call-in', 'headphones', COMPUTER_BUFFER, {
      sound: { gain: { control: 'call-volume' }, toAnalogue: toEars },
    }),
  };
};

/**
 * A computer's own programs: a programme made of everything that comes in, single tracks, single
 * pictures, and a call.
 */
export const computer = (
  id: ClassId,
  name: string,
  about: string,
  sockets: Readonly<Record<string, UsbPort>>,
  screens: number,
  work: Work,
  storage: Storage,
): Model => {
  const usb = Object.keys(sockets);
  const inputs = [...usb, 'call-in', 'programs-in'];
  const shown = idsOf(screens, 'screen');
  /** Where sound leaves it again */
  const outputs = [...usb, 'headphones', 'network', ...shown];
  const canvas: Route['picture'] = { does: 'house format', formatControl: 'canvas', scaler: true };
  /** A screen has a format of its own, whatever the programme is made in */
  const onScreen: Route['picture'] = {
    does: 'house format',
    formatControl: 'screen-format',
    scaler: true,
  };
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
      'programs-in': software('in', 'From its own programs'),
      programme: software('out', 'Programme'),
      tracks: software('out', 'Single tracks'),
      pictures: software('out', 'Single pictures'),
      'call-out': software('out', 'To calls'),
      ...each(screens, 'screen', (n) => hdmi('out', `Screen ${n}`, 14.4)),
      headphones: phonesOut('Headphones', 6),
      network: {
        family: 'network',
        direction: 'both',
        name: 'Network',
        connector: 'rj45',
        gbps: 1,
      },
    },
    routes: {
      'programme-picture': route(inputs, 'programme', { frames: 2 }, { picture: canvas }),
      'programme-sound': route(
        ['call-in', 'programs-in', 'network'],
        'programme',
        COMPUTER_BUFFER,
        {
          sound: PROGRAMME_SOUND,
        },
      ),
      ...Object.fromEntries(
        usb.map((port) => [
          `programme-sound-${port}`,
          route(port, 'programme', COMPUTER_BUFFER, {
            sound: PROGRAMME_SOUND,
            when: { control: heardBy(port), is: true },
          }),
        ]),
      ),
      tracks: route([...inputs, 'network'], 'tracks', COMPUTER_BUFFER, {
        sound: { keepsApart: true },
      }),
      pictures: route(inputs, 'pictures', { frames: 1 }, { picture: { does: 'pass' } }),
      'call-picture': route(
        [...usb, 'programs-in'],
        'call-out',
        { frames: 2 },
        { picture: canvas },
      ),
      'call-sound': route([...usb, 'network', 'programs-in'], 'call-out', COMPUTER_BUFFER, {
        sound: {},
      }),
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
      ...returns(usb, outputs),
      'call-shown': route('call-in', shown, { frames: 1 }, { picture: onScreen }),
      'programs-shown': route('programs-in', shown, { frames: 1 }, { picture: onScreen }),
      screens: route(usb, shown, { frames: 2 }, { picture: onScreen }),
    },
    controls: {
      canvas: formats('Programme format', CANVASES, '1920x1080p30'),
      'screen-format': formats('Format of its screens', UHD_60, '1920x1080p60'),
      'programs-aloud': toggle('Its programs are heard at its outputs', true),
      'programs-volume': gain('Volume of its programs', -60, 0, -20, 0.5),
      'mix-aloud': toggle('The mix is sent to its outputs', false),
      'mix-volume': gain('Volume of the mix', -60, 0, -20, 0.5),
      ...Object.fromEntries(
        Object.entries(sockets).map(([port, { name: socket }]) => [
          heardBy(port),
          toggle(`${socket} is heard in the programme`, true),
        ]),
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

const hub = (id: ClassId, name: string, gbps: UsbPort['gbps'], sockets: number): Model =>
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
  hub('hub-10g', 'USB hub, 10 Gb/s, four sockets', 10, 4),
  deviceClass('dock-usb', {
    name: 'Dock for a laptop',
    kind: 'hub',
    step: 'take in',
    about:
      'Many sockets on one plug of the computer, and a supply. Convenient, and the first thing ' +
      'to fail: capture goes past it.',
    needsSupply: true,
    ports: {
      up: usbDevice(10, 'usb-c', 'To the computer'),
      ...each(2, 'usb', (n) => usbHost(`Socket ${n}`, 10, undefined, 'usb-c')),
      ...each(3, 'slow', (n) => usbHost(`Socket ${n + 2}`, 5)),
    },
    routes: {
      up: route([...idsOf(2, 'usb'), ...idsOf(3, 'slow')], 'up', AT_ONCE, {
        sound: {},
        picture: { does: 'pass' },
      }),
      down: route('up', [...idsOf(2, 'usb'), ...idsOf(3, 'slow')], AT_ONCE, {
        sound: {},
        picture: { does: 'pass' },
      }),
    },
  }),
];
