import type { Model, Route } from '../rig/devices/model';
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
  toggle,
  usbDevice,
} from './parts';
import { CONVERSION_DELAY } from './interfaces';
import type { ClassId } from './typical-figures';

export const mixer = (
  id: ClassId,
  name: string,
  about: string,
  microphones: number,
  maxGainDb: number,
  einDbu: number,
  phones: number,
  isDigital = false,
): Model => {
  /** A digital desk takes its time, and powers each channel by itself */
  const throughDesk = isDigital ? { ms: 1.5 } : AT_ONCE;
  const phantomOf = (n: number): string => (isDigital ? `phantom-${n}` : 'phantom');
  return deviceClass(id, {
    name,
    kind: 'mixer',
    step: 'combine',
    about,
    ports: {
      ...each(microphones, 'mic', (n) =>
        micIn(`Channel ${n}`, 2500, 16, phantomOf(n), isDigital ? 10 : 10 * microphones),
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
        route(`mic-${n}`, idsOf(2, 'main'), throughDesk, {
          sound: {
            gain: { control: `gain-${n}` },
            ein: [{ gainDb: maxGainDb, dbu: einDbu }],
            outputNoiseDbu: -84,
          },
        }),
      ),
      lines: route([...idsOf(2, 'line'), ...idsOf(2, 'tape')], idsOf(2, 'main'), throughDesk, {
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
        route(`mic-${n}`, idsOf(phones, 'phones'), throughDesk, {
          sound: { gain: { control: `gain-${n}` } },
        }),
      ),
    },
    controls: {
      ...each(microphones, 'gain', (n) => gain(`Gain ${n}`, 0, maxGainDb, 40)),
      ...(isDigital
        ? each(microphones, 'phantom', (n) => toggle(`Phantom power ${n}`))
        : { phantom: toggle('Phantom power, all channels') }),
      return: gain('USB return', -60, 0, -20),
    },
  });
};

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
    'Sixteen preamps with phantom power each and a main mix, a track a channel over USB.',
    16,
    60,
    -126,
    2,
    true,
  ),
];
