import type { Model } from '../rig/devices/model';
import { deviceClass, hdmi, sdi, usbDevice } from './parts';
import { accepting, type FormatText, HD_60, sourceFormats, UHD_60 } from './picture-parts';
import type { ClassId } from './typical-figures';

const screen = (
  id: ClassId,
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

export const screens: readonly Model[] = [
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
  screen(
    'display-2160-fast',
    'Monitor, 2160p, 42 Gb/s',
    'display',
    'A quick screen for whoever plays.',
    UHD_60,
    42.67,
    true,
  ),
  deviceClass('board-interactive', {
    name: 'Interactive board',
    kind: 'display',
    step: 'source',
    about:
      'A large screen that is written on: shows a picture, sends its own, and is touched over USB.',
    ports: {
      in: {
        ...accepting(hdmi('in', 'HDMI in', 14.4), UHD_60),
        ends: { picture: 'welcome', sound: 'welcome' },
      },
      out: {
        ...hdmi('out', 'HDMI out', 8.16),
        emits: {
          picture: {
            formatControl: 'format',
            clean: true,
            copyProtected: false,
            encodingControl: null,
          },
        },
      },
      usb: usbDevice(0.48, 'usb-b', 'Touch'),
    },
    controls: { format: sourceFormats('Output format', HD_60, '1920x1080p60') },
  }),
];
