import type { Mixes } from '../rig/devices/device-figures';
import { FIRST_CONNECTED } from '../rig/devices/encoding';
import type { Control, Model, Route } from '../rig/devices/model';
import type { PicturePort, UsbPort } from '../rig/devices/ports';
import {
  amount,
  consumerIn,
  deviceClass,
  each,
  hdmi,
  idsOf,
  lineIn,
  route,
  sdi,
  software,
  usbDevice,
} from './parts';
import { accepting, encodings, formats, type FormatText, HD_60, UHD_60 } from './picture-parts';
import type { ClassId } from './typical-figures';

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
  /** A second mix of its own, with its own programme output and format */
  readonly secondMix?: true;
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

const switcher = (id: ClassId, name: string, about: string, draft: SwitcherDraft): Model => {
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
      ...(draft.secondMix ? { 'programme-2': draft.out('Programme 2') } : {}),
      ...(draft.usb ? { usb: usbDevice(draft.usb) } : {}),
      ...(draft.records
        ? {
            drive: software('out', 'Drive', {
              ends: { picture: 'welcome' },
              records: { control: null },
            }),
          }
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
      ...(draft.secondMix
        ? {
            'picture-2': route(
              inputs,
              'programme-2',
              { frames: draft.delayFrames },
              {
                picture: {
                  does: 'house format',
                  formatControl: 'house-format-2',
                  scaler: draft.scaler,
                },
              },
            ),
            'sound-2': route(inputs, 'programme-2', null, { sound: {} }),
          }
        : {}),
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
      ...(draft.secondMix
        ? { 'house-format-2': formats('Format of mix 2', draft.house ?? HD_60, '1920x1080p60') }
        : {}),
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
    'switcher-12-two-mixes',
    'Switcher, twelve SDI inputs, two mixes',
    'A scaler on every input, and two programmes cut apart from each other: one for the hall, one for the stream.',
    {
      inputs: 12,
      port: (name) => sdi('in', name, 2.97),
      out: (name) => sdi('out', name, 2.97),
      scaler: true,
      usb: 5,
      auxes: 4,
      multiview: true,
      delayFrames: 1,
      mixes: { keyers: 4, resizingKeyers: 4, boxes: 4 },
      balancedSound: true,
      secondMix: true,
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
