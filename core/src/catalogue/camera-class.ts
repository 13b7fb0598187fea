import type { Storage } from '../rig/devices/device-figures';
import type { Model } from '../rig/devices/model';
import type { Connector, PictureSource } from '../rig/devices/ports';
import { cameraFigures } from './camera-figures';
import {
  amount,
  type ClassDraft,
  deviceClass,
  gain,
  hdmi,
  preampToDigital,
  route,
  sdi,
  software,
  toggle,
  usbDevice,
} from './parts';
import type { FormatText } from './picture-parts';
import { codings, encodings, formats, sourceFormats, UHD_60 } from './picture-parts';
import type { ClassId } from './typical-figures';

/** A camera's own recording. */
interface OwnCard {
  readonly mbps: number;
  readonly capacityGb: number;
  /** @unit MB/s */
  readonly writes: number;
  readonly initial: FormatText;
  /** Whether it records unless told not to */
  readonly on?: true;
}

/**
 * The card of a camera: its picture as it is recorded, which need not be as it is sent, and the
 * sound of its own socket.
 */
export const ownRecording = (
  { mbps, capacityGb, writes, initial, on }: OwnCard,
  list: readonly FormatText[],
  outputs: readonly string[],
  mic?: Connector,
): Required<Pick<ClassDraft, 'ports' | 'routes' | 'controls'>> & { storage: Storage } => ({
  ports: {
    ...(mic
      ? {
          mic: {
            family: 'analogue',
            direction: 'in',
            name: 'Microphone input',
            connector: mic,
            nominal: 'microphone',
            balanced: mic === 'xlr',
            inputOhms: mic === 'xlr' ? 3000 : 2200,
            maxInDbu: mic === 'xlr' ? 0 : -10,
            ...(mic === 'xlr' ? { phantomSupply: { control: 'phantom', maxMa: 10 } } : {}),
          },
        }
      : {}),
    card: software('out', 'Card', {
      emits: emits({ formatControl: 'card-format' }),
      ends: { picture: 'welcome', sound: 'welcome' },
      records: { control: 'record' },
    }),
  },
  routes: mic
    ? {
        record: route(
          'mic',
          [...outputs, 'card'],
          { ms: 1 },
          {
            sound:
              mic === 'xlr'
                ? preampToDigital('mic-gain', -121, 60, 98)
                : preampToDigital('mic-gain', -112, 30, 88),
          },
        ),
      }
    : {},
  controls: {
    record: toggle('Records on its card', on ?? false),
    'card-format': formats('Format on the card', list, initial),
    'card-mbps': amount('Bitrate on the card', 'Mb/s', 5, 800, mbps, 5),
    ...(mic ? { 'mic-gain': gain('Microphone gain', 0, mic === 'xlr' ? 60 : 30, 10) } : {}),
    ...(mic === 'xlr' ? { phantom: toggle('Phantom power') } : {}),
  },
  storage: {
    medium: 'card',
    capacityGb,
    writeMBps: writes,
    bitrateControl: 'card-mbps',
  },
});

export const emits = (more: Partial<PictureSource> = {}): { picture: PictureSource } => ({
  picture: {
    formatControl: 'format',
    clean: true,
    copyProtected: false,
    encodingControl: null,
    ...more,
  },
});

/**
 * A camera with its outputs, optics and card.
 * @param list formats it sends @param initial the one it begins with
 */
export const camera = (
  id: ClassId,
  name: string,
  about: string,
  list: readonly FormatText[],
  initial: FormatText,
  outputs: {
    hdmi?: { connector: Connector; gbps: number; clean: boolean };
    sdiGbps?: number;
    usb?: boolean;
    card?: OwnCard;
    mic?: Connector;
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
  const recording = outputs.card
    ? ownRecording(outputs.card, list, Object.keys(ports), outputs.mic)
    : null;
  return deviceClass(id, {
    name,
    kind: 'camera',
    step: 'source',
    about,
    ports: { ...ports, ...recording?.ports },
    ...(recording ? { routes: recording.routes, storage: recording.storage } : {}),
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
      ...recording?.controls,
    },
  });
};
