import type { Connector, Model, PictureSource } from '../rig/model';
import {
  accepting, AT_ONCE, deviceClass, encodings, formats, hdmi, HD_30, HD_60, route, sdi, toggle, UHD_30, UHD_60, usbDevice, type ClassDraft, type FormatText,
} from './parts';

const emits = (more: Partial<PictureSource> = {}): { picture: PictureSource } => ({
  picture: { formatControl: 'format', clean: true, copyProtected: false, encodingControl: null, ...more },
});

const camera = (
  id: string, name: string, about: string, list: readonly FormatText[], initial: FormatText,
  outputs: { hdmi?: { connector: Connector; gbps: number; clean: boolean }; sdiGbps?: number; usb?: boolean },
): Model => {
  const clean = outputs.hdmi?.clean === false ? 'overlays-off' : true;
  const ports: ClassDraft['ports'] = {
    ...(outputs.hdmi ? { hdmi: { ...hdmi('out', 'HDMI', outputs.hdmi.gbps, outputs.hdmi.connector), emits: emits({ clean }) } } : {}),
    ...(outputs.sdiGbps ? { sdi: { ...sdi('out', 'SDI', outputs.sdiGbps), emits: emits() } } : {}),
    ...(outputs.usb ? { usb: { ...usbDevice(5), emits: emits({ clean, encodingControl: 'encoding' }) } } : {}),
  };
  return deviceClass(id, {
    name, kind: 'camera', step: 'source', about, ports,
    controls: {
      format: formats('Output format', list, initial),
      ...(clean === true ? {} : { 'overlays-off': toggle('Clean output', false) }),
      ...(outputs.usb ? { encoding: encodings(['compressed'], 'compressed') } : {}),
    },
  });
};

export const cameras: readonly Model[] = [
  camera('camera-mirrorless', 'Mirrorless camera, small socket', 'Large sensor, interchangeable lens, micro HDMI. Overlays are on the output until they are switched off.', UHD_30, '1920x1080p60', {
    hdmi: { connector: 'micro-hdmi', gbps: 8.16, clean: false }, usb: true,
  }),
  camera('camera-camcorder', 'Camcorder with zoom', 'Runs for hours, full-size HDMI and SDI.', UHD_30, '1920x1080p60', { hdmi: { connector: 'hdmi', gbps: 8.16, clean: true }, sdiGbps: 2.97 }),
  camera('camera-ptz', 'Remote-head camera', 'Pan, tilt and zoom from a controller; HDMI and SDI.', HD_60, '1920x1080p60', { hdmi: { connector: 'hdmi', gbps: 8.16, clean: true }, sdiGbps: 2.97 }),
  camera('camera-studio', 'Studio box camera', 'Interchangeable lens, made to run all day on mains. 12 Gb/s SDI and HDMI.', UHD_60, '1920x1080p60', { hdmi: { connector: 'hdmi', gbps: 14.4, clean: true }, sdiGbps: 11.88 }),
  deviceClass('webcam', {
    name: 'Webcam, 1080p', kind: 'webcam', step: 'source', about: 'Camera and USB in one; its own picture is compressed.',
    ports: { usb: { ...usbDevice(0.48, 'usb-a'), emits: emits({ encodingControl: 'encoding' }) } },
    controls: { format: formats('Format', HD_30, '1920x1080p30'), encoding: encodings(['compressed'], 'compressed') },
  }),
  deviceClass('phone-camera', {
    name: 'Phone as a camera', kind: 'phone', step: 'source', about: 'A phone on a stand: over USB as a camera, or by an adapter to HDMI.',
    ports: {
      usb: { ...usbDevice(0.48), emits: emits({ encodingControl: 'encoding' }) },
      hdmi: { ...hdmi('out', 'HDMI adapter', 8.16), emits: emits({ clean: 'overlays-off' }) },
    },
    controls: {
      format: formats('Format', [...HD_30, '1920x1080p60'], '1920x1080p30'), encoding: encodings(['compressed'], 'compressed'), 'overlays-off': toggle('Clean output', false),
    },
  }),
  deviceClass('player-slides', {
    name: 'Slides computer', kind: 'player', step: 'source', about: 'A laptop whose second screen is a source: slides, a browser, clips with sound.',
    ports: {
      hdmi: {
        ...hdmi('out', 'HDMI', 8.16),
        emits: { ...emits({ copyProtected: 'protected' }), sound: { type: 'digital', levelDbfs: -20, crestDb: 12, noiseDbfs: -90 } },
      },
    },
    controls: { format: formats('Output format', UHD_30, '1920x1080p60'), protected: toggle('Shows protected content', false) },
  }),
  deviceClass('player-console', {
    name: 'Games console', kind: 'player', step: 'source', about: 'HDMI source that protects its picture until told not to.',
    ports: {
      hdmi: {
        ...hdmi('out', 'HDMI', 14.4),
        emits: { ...emits({ copyProtected: 'protected' }), sound: { type: 'digital', levelDbfs: -20, crestDb: 14, noiseDbfs: -90 } },
      },
    },
    controls: { format: formats('Output format', UHD_60, '1920x1080p60'), protected: toggle('Copy protection', true) },
  }),
];

export const picturePaths: readonly Model[] = [
  deviceClass('splitter-hdmi-2', {
    name: 'HDMI splitter, one to two', kind: 'splitter', step: 'shape', about: 'Copies one picture to two places.',
    ports: { in: hdmi('in', 'Input', 14.4), 'out-1': hdmi('out', 'Output 1', 14.4), 'out-2': hdmi('out', 'Output 2', 14.4) },
    routes: { copy: route('in', ['out-1', 'out-2'], AT_ONCE, { sound: {}, picture: { does: 'pass' } }) },
  }),
  deviceClass('splitter-sdi-4', {
    name: 'SDI distribution amplifier, one to four', kind: 'splitter', step: 'shape', about: 'Copies one SDI picture to four runs.',
    ports: { in: sdi('in', 'Input', 11.88), 'out-1': sdi('out', 'Output 1', 11.88), 'out-2': sdi('out', 'Output 2', 11.88), 'out-3': sdi('out', 'Output 3', 11.88), 'out-4': sdi('out', 'Output 4', 11.88) },
    routes: { copy: route('in', ['out-1', 'out-2', 'out-3', 'out-4'], AT_ONCE, { sound: {}, picture: { does: 'pass' } }) },
  }),
  deviceClass('selector-hdmi-4', {
    name: 'HDMI selector, four to one', kind: 'selector', step: 'combine', about: 'Lets one of four pictures through.',
    ports: { 'in-1': hdmi('in', 'Input 1', 14.4), 'in-2': hdmi('in', 'Input 2', 14.4), 'in-3': hdmi('in', 'Input 3', 14.4), 'in-4': hdmi('in', 'Input 4', 14.4), out: hdmi('out', 'Output', 14.4) },
    routes: Object.fromEntries(
      ['1', '2', '3', '4'].map((n) => [`through-${n}`, route(`in-${n}`, 'out', AT_ONCE, { sound: {}, picture: { does: 'pass' }, when: { control: 'selected', is: n } })]),
    ),
    controls: { selected: { type: 'choice', label: 'Selected input', options: ['1', '2', '3', '4'].map((n) => ({ value: n, label: `Input ${n}` })), initial: '1' } },
  }),
  deviceClass('converter-hdmi-sdi', {
    name: 'Converter, HDMI to SDI', kind: 'converter', step: 'shape', about: 'For runs longer than HDMI goes. Needs its own power.',
    ports: { in: accepting(hdmi('in', 'HDMI', 8.16), HD_60), out: sdi('out', 'SDI', 2.97) },
    routes: { convert: route('in', 'out', { frames: 0 }, { sound: {}, picture: { does: 'pass' } }) },
  }),
  deviceClass('converter-sdi-hdmi', {
    name: 'Converter, SDI to HDMI', kind: 'converter', step: 'shape', about: 'At the far end of a long run. Needs its own power.',
    ports: { in: sdi('in', 'SDI', 2.97), out: hdmi('out', 'HDMI', 8.16) },
    routes: { convert: route('in', 'out', { frames: 0 }, { sound: {}, picture: { does: 'pass' } }) },
  }),
  deviceClass('converter-scan', {
    name: 'Scan converter and frame synchroniser', kind: 'converter', step: 'shape', about: 'Takes any format and sends the one it is set to.',
    ports: { in: hdmi('in', 'HDMI in', 14.4), out: hdmi('out', 'HDMI out', 8.16) },
    routes: { scale: route('in', 'out', { frames: 2 }, { sound: {}, picture: { does: 'house format', formatControl: 'format', scaler: true } }) },
    controls: { format: formats('Output format', UHD_30, '1920x1080p60') },
  }),
];
