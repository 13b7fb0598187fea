import type { Model } from '../rig/devices/model';
import type { Connector, PictureSource } from '../rig/devices/ports';
import { cameraFigures } from './camera-figures';
import { type ClassDraft, deviceClass, hdmi, sdi, toggle, usbDevice } from './parts';
import type { FormatText } from './picture-parts';
import { codings, encodings, HD_30, HD_60, sourceFormats, UHD_30, UHD_60 } from './picture-parts';

const emits = (more: Partial<PictureSource> = {}): { picture: PictureSource } => ({
  picture: {
    formatControl: 'format',
    clean: true,
    copyProtected: false,
    encodingControl: null,
    ...more,
  },
});

const camera = (
  id: string,
  name: string,
  about: string,
  list: readonly FormatText[],
  initial: FormatText,
  outputs: {
    hdmi?: { connector: Connector; gbps: number; clean: boolean };
    sdiGbps?: number;
    usb?: boolean;
  },
  optics: Parameters<typeof cameraFigures>[0],
  more: Partial<ClassDraft> = {},
): Model => {
  const clean = outputs.hdmi?.clean === false ? 'overlays-off' : true;
  const ports: ClassDraft['ports'] = {
    ...(outputs.hdmi
      ? {
          hdmi: {
            ...hdmi('out', 'HDMI', outputs.hdmi.gbps, outputs.hdmi.connector),
            emits: emits({ clean, codingControl: 'coding' }),
          },
        }
      : {}),
    ...(outputs.sdiGbps ? { sdi: { ...sdi('out', 'SDI', outputs.sdiGbps), emits: emits() } } : {}),
    ...(outputs.usb
      ? { usb: { ...usbDevice(5), emits: emits({ clean, encodingControl: 'encoding' }) } }
      : {}),
  };
  const figures = cameraFigures(optics);
  return deviceClass(id, {
    name,
    kind: 'camera',
    step: 'source',
    about,
    ports,
    ...more,
    camera: figures.camera,
    controls: {
      format: sourceFormats('Output format', list, initial),
      ...(outputs.hdmi
        ? {
            coding: codings(
              list === UHD_60 ? ['422 10 limited', '420 8 limited'] : ['422 10 limited'],
              '422 10 limited',
            ),
          }
        : {}),
      ...(clean === true ? {} : { 'overlays-off': toggle('Clean output', false) }),
      ...(outputs.usb ? { encoding: encodings(['compressed'], 'compressed') } : {}),
      ...figures.controls,
    },
  });
};

const CROP_2160P30 = { '3840x2160p30': 1.23, '3840x2160p30000/1001': 1.23, '3840x2160p25': 1.23 };

const webcamFigures = cameraFigures({ sensor: 'small', focal: [4, 4, 4], fNumber: 2 });

const phoneFigures = cameraFigures({
  sensor: 'phone',
  focal: [6.8, 6.8, 6.8],
  fNumber: 1.8,
  batteryMin: 120,
  heatMin: { '1920x1080p60': 60 },
});

export const cameras: readonly Model[] = [
  camera(
    'camera-mirrorless',
    'Mirrorless camera, small socket',
    'Large sensor, interchangeable lens, micro HDMI. Overlays are on the output until they are switched off.',
    UHD_30,
    '1920x1080p60',
    {
      hdmi: { connector: 'micro-hdmi', gbps: 8.16, clean: false },
      usb: true,
    },
    {
      sensor: 'reduced frame',
      focal: [8, 600, 35],
      fNumber: 1.4,
      crops: CROP_2160P30,
      recordLimitMin: 29,
      heatMin: { '3840x2160p30': 40, '3840x2160p25': 45 },
      sleepMin: 5,
      batteryMin: 90,
      focusNoiseDba: 24,
    },
    { smallSocket: true },
  ),
  camera(
    'camera-full-frame',
    'Full-frame mirrorless camera',
    'The largest usual sensor and interchangeable lenses; full-size HDMI, no overlays once set.',
    UHD_30,
    '1920x1080p60',
    {
      hdmi: { connector: 'hdmi', gbps: 8.16, clean: false },
      usb: true,
    },
    {
      sensor: 'full frame',
      focal: [8, 600, 50],
      fNumber: 1.4,
      recordLimitMin: 120,
      sleepMin: 10,
      batteryMin: 120,
      focusNoiseDba: 22,
    },
  ),
  camera(
    'camera-camcorder',
    'Camcorder with zoom',
    'Runs for hours, full-size HDMI and SDI.',
    UHD_30,
    '1920x1080p60',
    { hdmi: { connector: 'hdmi', gbps: 8.16, clean: true }, sdiGbps: 2.97 },
    { sensor: 'one inch', focal: [9, 111, 24], fNumber: 2.8, batteryMin: 240 },
  ),
  camera(
    'camera-ptz',
    'Remote-head camera',
    'Pan, tilt and zoom from a controller; HDMI and SDI.',
    HD_60,
    '1920x1080p60',
    { hdmi: { connector: 'hdmi', gbps: 8.16, clean: true }, sdiGbps: 2.97 },
    { sensor: 'small', focal: [4.4, 88, 10], fNumber: 1.8 },
  ),
  camera(
    'camera-studio',
    'Studio box camera',
    'Interchangeable lens, made to run all day on mains. 12 Gb/s SDI and HDMI.',
    UHD_60,
    '1920x1080p60',
    { hdmi: { connector: 'hdmi', gbps: 14.4, clean: true }, sdiGbps: 11.88 },
    { sensor: 'reduced frame', focal: [8, 600, 35], fNumber: 2 },
  ),
  camera(
    'camera-roaming',
    'Roaming camera, hand-held',
    'Carried on a shoulder with a servo zoom; 12 Gb/s SDI and a battery.',
    UHD_60,
    '1920x1080p60',
    { sdiGbps: 11.88 },
    { sensor: 'reduced frame', focal: [18, 110, 35], fNumber: 4, batteryMin: 150 },
  ),
  deviceClass('webcam', {
    name: 'Webcam, 1080p',
    kind: 'webcam',
    step: 'source',
    about: 'Camera and USB in one; its own picture is compressed.',
    ports: { usb: { ...usbDevice(0.48, 'usb-a'), emits: emits({ encodingControl: 'encoding' }) } },
    controls: {
      format: sourceFormats('Format', HD_30, '1920x1080p30'),
      encoding: encodings(['compressed'], 'compressed'),
      ...webcamFigures.controls,
    },
    camera: webcamFigures.camera,
  }),
  deviceClass('phone-camera', {
    name: 'Phone as a camera',
    kind: 'phone',
    step: 'source',
    about: 'A phone on a stand: over USB as a camera, or by an adapter to HDMI.',
    ports: {
      usb: { ...usbDevice(0.48), emits: emits({ encodingControl: 'encoding' }) },
      hdmi: { ...hdmi('out', 'HDMI adapter', 8.16), emits: emits({ clean: 'overlays-off' }) },
    },
    controls: {
      format: sourceFormats('Format', [...HD_30, '1920x1080p60'], '1920x1080p30'),
      encoding: encodings(['compressed'], 'compressed'),
      'overlays-off': toggle('Clean output', false),
      ...phoneFigures.controls,
    },
    camera: phoneFigures.camera,
  }),
  deviceClass('player-slides', {
    name: 'Slides computer',
    kind: 'player',
    step: 'source',
    about: 'A laptop whose second screen is a source: slides, a browser, clips with sound.',
    ports: {
      hdmi: {
        ...hdmi('out', 'HDMI', 8.16),
        emits: {
          ...emits({ copyProtected: 'protected', codingControl: 'coding' }),
          sound: { type: 'digital', levelDbfs: -20, crestDb: 12, noiseDbfs: -90 },
        },
      },
    },
    controls: {
      format: sourceFormats('Output format', UHD_30, '1920x1080p60'),
      coding: codings(['rgb 8 full', 'rgb 8 limited'], 'rgb 8 limited'),
      protected: toggle('Shows protected content', false),
    },
  }),
  deviceClass('player-graphics', {
    name: 'Graphics computer, three outputs',
    kind: 'player',
    step: 'source',
    about:
      'Titles, score and slides from three outputs of an expansion card, each its own picture.',
    ports: Object.fromEntries(
      [1, 2, 3].map((n) => [
        `sdi-${n}`,
        {
          ...sdi('out', `Card output ${n}`, 2.97),
          emits: {
            picture: {
              formatControl: `format-${n}`,
              clean: true,
              copyProtected: false,
              encodingControl: null,
            },
          },
        },
      ]),
    ),
    controls: Object.fromEntries(
      [1, 2, 3].map((n) => [
        `format-${n}`,
        sourceFormats(`Output ${n} format`, HD_60, '1920x1080p60'),
      ]),
    ),
  }),
  deviceClass('player-console', {
    name: 'Games console',
    kind: 'player',
    step: 'source',
    about: 'HDMI source that protects its picture until told not to.',
    ports: {
      hdmi: {
        ...hdmi('out', 'HDMI', 14.4),
        emits: {
          ...emits({ copyProtected: 'protected', codingControl: 'coding' }),
          sound: { type: 'digital', levelDbfs: -20, crestDb: 14, noiseDbfs: -90 },
        },
      },
    },
    controls: {
      format: sourceFormats('Output format', UHD_60, '1920x1080p60'),
      coding: codings(['rgb 8 full', 'rgb 8 limited', '420 8 limited'], 'rgb 8 limited'),
      protected: toggle('Copy protection', true),
    },
  }),
];
