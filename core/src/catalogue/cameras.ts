import type { Model } from '../rig/devices/model';
import { camera, emits, ownRecording } from './camera-class';
import { cameraFigures } from './camera-figures';
import { deviceClass, hdmi, toggle, usbDevice } from './parts';
import { encodings, HD_30, HD_60, sourceFormats, UHD_30, UHD_60 } from './picture-parts';

const CROP_2160P30 = { '3840x2160p30': 1.23, '3840x2160p30000/1001': 1.23, '3840x2160p25': 1.23 };

const webcamFigures = cameraFigures({
  sensor: 'small',
  focal: [4, 4, 4],
  fNumber: 2,
  setsItself: true,
});

const phoneFigures = cameraFigures({
  sensor: 'phone',
  focal: [6.8, 6.8, 6.8],
  fNumber: 1.8,
  setsItself: true,
  stabiliserCrop: 1.15,
  batteryMin: 120,
  heatMin: { '1920x1080p60': 60 },
});

const phoneCard = ownRecording(
  { mbps: 50, capacityGb: 128, writes: 100, initial: '1920x1080p30' },
  UHD_30,
  [],
);

const micInputCard = ownRecording(
  { mbps: 50, capacityGb: 64, writes: 40, initial: '1920x1080p60', on: true },
  HD_60,
  ['hdmi'],
  'mini-jack',
);

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
      card: { mbps: 100, capacityGb: 128, writes: 60, initial: '1920x1080p60' },
      mic: 'mini-jack',
    },
    {
      sensor: 'reduced frame',
      focal: [8, 600, 35],
      fNumber: 1.4,
      mount: 'Mirrorless',
      stabiliserCrop: 1.1,
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
      card: { mbps: 100, capacityGb: 256, writes: 90, initial: '1920x1080p60' },
      mic: 'mini-jack',
    },
    {
      sensor: 'full frame',
      focal: [8, 600, 50],
      fNumber: 1.4,
      mount: 'Mirrorless',
      stabiliserCrop: 1.1,
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
    {
      hdmi: { connector: 'hdmi', gbps: 8.16, clean: true },
      sdiGbps: 2.97,
      card: { mbps: 50, capacityGb: 128, writes: 60, initial: '1920x1080p60' },
      mic: 'xlr',
    },
    {
      sensor: 'one inch',
      focal: [9, 111, 24],
      fNumber: 2.8,
      batteryMin: 240,
      setsItself: true,
      stabiliserCrop: 1.08,
    },
  ),
  camera(
    'camera-ptz',
    'Remote-head camera',
    'Pan, tilt and zoom from a controller; HDMI and SDI.',
    HD_60,
    '1920x1080p60',
    { hdmi: { connector: 'hdmi', gbps: 8.16, clean: true }, sdiGbps: 2.97 },
    { sensor: 'small', focal: [4.4, 88, 10], fNumber: 1.8, setsItself: true },
  ),
  camera(
    'camera-studio',
    'Studio box camera',
    'Interchangeable lens, made to run all day on mains. 12 Gb/s SDI and HDMI.',
    UHD_60,
    '1920x1080p60',
    { hdmi: { connector: 'hdmi', gbps: 14.4, clean: true }, sdiGbps: 11.88 },
    { sensor: 'reduced frame', focal: [8, 600, 35], fNumber: 2, mount: 'Mirrorless', byHand: true },
  ),
  camera(
    'camera-roaming',
    'Roaming camera, hand-held',
    'Carried on a shoulder with a servo zoom; 12 Gb/s SDI and a battery.',
    UHD_60,
    '1920x1080p60',
    {
      sdiGbps: 11.88,
      card: { mbps: 150, capacityGb: 256, writes: 120, initial: '1920x1080p60' },
      mic: 'xlr',
    },
    { sensor: 'reduced frame', focal: [18, 110, 35], fNumber: 4, batteryMin: 150 },
  ),
  camera(
    'camera-action',
    'Action camera',
    'Small and wide, on a clamp or a helmet; records on its card, or is a camera over USB.',
    UHD_30,
    '1920x1080p60',
    {
      usb: true,
      card: { mbps: 60, capacityGb: 128, writes: 60, initial: '1920x1080p60', on: true },
    },
    {
      sensor: 'small',
      focal: [2.9, 2.9, 2.9],
      fNumber: 2.5,
      setsItself: true,
      stabiliserCrop: 1.25,
      batteryMin: 75,
      heatMin: { '3840x2160p30': 30, '3840x2160p25': 35, '1920x1080p60': 60 },
    },
  ),
  camera(
    'camera-cinema',
    'Compact camera with XLR and a fast card',
    'Interchangeable lens and two microphone sockets; records for as long as its card lasts.',
    UHD_60,
    '1920x1080p60',
    {
      hdmi: { connector: 'hdmi', gbps: 14.4, clean: true },
      sdiGbps: 11.88,
      card: { mbps: 200, capacityGb: 512, writes: 200, initial: '1920x1080p60' },
      mic: 'xlr',
    },
    {
      sensor: 'full frame',
      focal: [8, 600, 50],
      fNumber: 1.4,
      mount: 'Mirrorless',
      byHand: true,
      batteryMin: 150,
    },
  ),
  deviceClass('camera-mic-input', {
    name: 'Camera with microphone input',
    kind: 'camera',
    step: 'source',
    about: 'A camera that also records sound from a microphone socket.',
    ports: {
      hdmi: { ...hdmi('out', 'HDMI', 8.16, 'micro-hdmi'), emits: emits() },
      ...micInputCard.ports,
    },
    routes: micInputCard.routes,
    storage: micInputCard.storage,
    controls: {
      format: sourceFormats('Output format', HD_60, '1920x1080p60'),
      ...micInputCard.controls,
    },
  }),
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
    about:
      'A phone on a stand: over USB as a camera, by an adapter to HDMI, or with a recording of its own.',
    storage: phoneCard.storage,
    routes: phoneCard.routes,
    ports: {
      ...phoneCard.ports,
      usb: { ...usbDevice(0.48), emits: emits({ encodingControl: 'encoding' }) },
      hdmi: { ...hdmi('out', 'HDMI adapter', 8.16), emits: emits({ clean: 'overlays-off' }) },
    },
    controls: {
      format: sourceFormats('Format', [...HD_30, '1920x1080p60'], '1920x1080p30'),
      encoding: encodings(['compressed'], 'compressed'),
      'overlays-off': toggle('Clean output', false),
      ...phoneFigures.controls,
      ...phoneCard.controls,
    },
    camera: phoneFigures.camera,
  }),
];
