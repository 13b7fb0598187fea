import type { Model, Route } from '../rig/devices/model';
import type { AnaloguePort } from '../rig/devices/ports';
import {
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
import type { ClassId } from './typical-figures';

/** Round trip through a converter and a driver's buffer of 256 samples at 48 kHz, one way. @unit ms */
export const CONVERSION_DELAY = { ms: 6.3 } as const;

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
  /** So many of its inputs are one socket for a microphone, a line or an instrument */
  readonly combos?: number;
  /** Records a track an input on a card of its own */
  readonly card?: true;
}

const phantomSwitch = (channel: number, draft: InterfaceDraft): string =>
  `phantom-${Math.ceil(channel / draft.phantomGroup)}`;

const phantomLabel = (n: number, draft: InterfaceDraft): string =>
  draft.phantomGroup === 1
    ? `Phantom power ${n}`
    : `Phantom power ${(n - 1) * draft.phantomGroup + 1}–${n * draft.phantomGroup}`;

const comboOf = (n: number, { combos = 0 }: InterfaceDraft): Pick<AnaloguePort, 'socket'> =>
  n <= combos ? { socket: `input-${n}` } : {};

/** A socket for a guitar: it hardly loads it. */
const instrumentIn = (name: string): AnaloguePort => ({
  family: 'analogue',
  direction: 'in',
  name,
  connector: 'combo',
  nominal: 'instrument',
  balanced: false,
  inputOhms: 1_000_000,
  maxInDbu: 12,
});

const soundInterface = (id: ClassId, draft: InterfaceDraft): Model =>
  deviceClass(id, {
    name: draft.name,
    kind: 'interface',
    step: 'take in',
    about: draft.about,
    ports: {
      ...each(draft.microphones, 'mic', (n) => ({
        ...micIn(`Input ${n}`, draft.inputOhms, draft.maxInDbu, phantomSwitch(n, draft)),
        ...comboOf(n, draft),
      })),
      ...each(draft.lines, 'line', (n) => ({
        ...lineIn(`Line ${n}`, 22, n <= (draft.combos ?? 0) ? 'combo' : 'jack'),
        ...comboOf(n, draft),
      })),
      ...each(draft.combos ?? 0, 'instrument', (n) => ({
        ...instrumentIn(`Instrument ${n}`),
        ...comboOf(n, draft),
      })),
      ...(draft.card
        ? {
            card: software('out', 'Card', {
              ends: { sound: 'welcome' },
              records: { control: 'record' },
            }),
          }
        : {}),
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
      ...each(2, 'out', (n) => lineOut(`Output ${n}`, draft.maxInDbu)),
      ...each(draft.phones, 'phones', (n) => phonesOut(`Headphones ${n}`, draft.maxInDbu)),
    },
    routes: {
      ...each<Route>(draft.combos ?? 0, 'instrument', (n) =>
        route(`instrument-${n}`, 'usb', CONVERSION_DELAY, {
          sound: {
            gain: { control: `gain-${n}` },
            ownNoiseDbu: -108,
            toDigital: { dynamicRangeDba: draft.dynamicRangeDba },
          },
        }),
      ),
      ...(draft.card
        ? each<Route>(draft.microphones, 'track', (n) =>
            route(`mic-${n}`, 'card', CONVERSION_DELAY, {
              sound: {
                ...preampToDigital(
                  `gain-${n}`,
                  draft.einDbu,
                  draft.maxGainDb,
                  draft.dynamicRangeDba,
                  draft.pads ? `pad-${n}` : undefined,
                ),
                keepsApart: true,
              },
            }),
          )
        : {}),
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
      ...each<Route>(draft.lines, 'direct-line', (n) =>
        route(
          `line-${n}`,
          [...idsOf(draft.phones, 'phones'), ...idsOf(2, 'out')],
          { ms: 0.5 },
          { sound: {}, when: { control: 'direct', is: true } },
        ),
      ),
    },
    controls: {
      ...each(draft.microphones, 'gain', (n) => gain(`Gain ${n}`, 0, draft.maxGainDb, 40)),
      ...each(Math.ceil(draft.microphones / draft.phantomGroup), 'phantom', (n) =>
        toggle(phantomLabel(n, draft)),
      ),
      ...(draft.pads ? each(draft.microphones, 'pad', (n) => toggle(`Pad ${n}, 20 dB`)) : {}),
      ...(draft.card ? { record: toggle('Records on its card', true) } : {}),
      listen: gain('Monitor level', -60, 0, -20),
      direct: toggle('Direct monitoring', true),
    },
    ...(draft.card ? { storage: { medium: 'card', capacityGb: 64, writeMBps: 30 } } : {}),
    spread: { 'routes.mic-1.sound.ein.0.dbu': [draft.einDbu - 1.5, draft.einDbu + 4] },
  });

export const interfaces: readonly Model[] = [
  soundInterface('interface-2', {
    name: 'Interface, two microphones',
    about:
      'Modest USB interface with 54 dB of gain. Each input is one socket for a microphone, a ' +
      'line or an instrument; one phantom switch for both.',
    microphones: 2,
    lines: 2,
    combos: 2,
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
  soundInterface('interface-4-card', {
    name: 'Interface, four microphones, with a card',
    about: 'As the one with four, and records a track an input on a card of its own.',
    microphones: 4,
    lines: 4,
    combos: 4,
    inputOhms: 3000,
    maxInDbu: 16,
    maxGainDb: 69,
    einDbu: -128.5,
    dynamicRangeDba: 117,
    phantomGroup: 1,
    pads: true,
    optical: false,
    phones: 2,
    card: true,
  }),
];
