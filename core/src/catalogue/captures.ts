import type { Model } from '../rig/devices/model';
import type { UsbPort } from '../rig/devices/ports';
import { deviceClass, hdmi, route, usbDevice } from './parts';
import {
  type Encoding,
  type FormatText,
  HD_60,
  UHD_60,
  accepting,
  captureFormats,
  encodings,
  readsRange,
} from './picture-parts';
import type { ClassId } from './typical-figures';

const capture = (
  id: ClassId,
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
