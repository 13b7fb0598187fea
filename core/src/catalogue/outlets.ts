import type { Model } from '../rig/devices/model';
import type { Port } from '../rig/devices/ports';
import {
  amount,
  AT_ONCE,
  consumerIn,
  deviceClass,
  hdmi,
  lineOut,
  route,
  sdi,
  software,
  toggle,
} from './parts';
import {
  accepting,
  encodings,
  formats,
  HD_30,
  HD_60,
  sourceFormats,
  UHD_30,
} from './picture-parts';
import type { ClassId } from './typical-figures';

const destination = (
  id: ClassId,
  name: string,
  kind: Model['kind'],
  about: string,
  ends: Port['ends'],
  wire = false,
): Model =>
  deviceClass(id, {
    name,
    kind,
    step: 'deliver',
    about,
    ports: {
      in: software('in', 'From the computer', ends ? { ends } : {}),
      ...(wire
        ? {
            wire: {
              family: 'network' as const,
              direction: 'in' as const,
              name: 'From an encoder',
              connector: 'rj45' as const,
              gbps: 1,
              ...(ends ? { ends } : {}),
            },
          }
        : {}),
    },
  });

/** A guest as the call sends them. */
const FROM_GUEST: NonNullable<Port['emits']> = {
  picture: { formatControl: 'format', clean: true, copyProtected: false, encodingControl: null },
  sound: { type: 'digital', levelDbfs: -20, crestDb: 14, noiseDbfs: -66 },
};

const call = (id: ClassId, name: string, about: string, records = false): Model =>
  deviceClass(id, {
    name,
    kind: 'call',
    step: 'source',
    about,
    ports: {
      receive: software('out', 'From the guest', { emits: FROM_GUEST }),
      send: software('in', 'To the guest', { ends: { sound: 'needed', picture: 'welcome' } }),
      ...(records
        ? {
            file: software('out', 'File at their side', {
              emits: {
                picture: {
                  formatControl: 'file-format',
                  clean: true,
                  copyProtected: false,
                  encodingControl: null,
                },
                sound: { type: 'digital', levelDbfs: -20, crestDb: 14, noiseDbfs: -78 },
              },
              ends: { picture: 'welcome', sound: 'welcome' },
              records: { control: 'record' },
            }),
          }
        : {}),
    },
    controls: {
      format: sourceFormats('Picture received', HD_30, '1280x720p30'),
      ...(records
        ? {
            'file-format': formats('Picture in their file', HD_30, '1920x1080p30'),
            record: toggle('Their side is recorded', true),
          }
        : {}),
    },
  });

export const outlets: readonly Model[] = [
  deviceClass('encoder-hardware', {
    name: 'Hardware encoder',
    kind: 'encoder',
    step: 'make',
    about: 'Streams by itself over a wired network.',
    ports: {
      in: accepting(hdmi('in', 'HDMI in', 8.16), HD_60),
      network: { family: 'network', direction: 'out', name: 'Network', connector: 'rj45', gbps: 1 },
    },
    routes: {
      encode: route(
        'in',
        'network',
        { ms: 250 },
        {
          sound: {},
          picture: { does: 'capture', formatControl: 'stream-format', encodingControl: 'coding' },
        },
      ),
    },
    controls: {
      'stream-format': formats('Stream format', HD_60, '1920x1080p30'),
      coding: encodings(['compressed'], 'compressed'),
    },
  }),
  deviceClass('encoder-hardware-sdi', {
    name: 'Hardware encoder, SDI',
    kind: 'encoder',
    step: 'make',
    about: 'Streams by itself over a wired network, from an SDI run.',
    ports: {
      in: accepting(sdi('in', 'SDI in', 2.97), HD_60),
      network: { family: 'network', direction: 'out', name: 'Network', connector: 'rj45', gbps: 1 },
    },
    routes: {
      encode: route(
        'in',
        'network',
        { ms: 250 },
        {
          sound: {},
          picture: { does: 'capture', formatControl: 'stream-format', encodingControl: 'coding' },
        },
      ),
    },
    controls: {
      'stream-format': formats('Stream format', HD_60, '1920x1080p30'),
      coding: encodings(['compressed'], 'compressed'),
    },
  }),
  deviceClass('recorder-picture-sdi', {
    name: 'Picture recorder, SDI',
    kind: 'recorder',
    step: 'deliver',
    about:
      'Records one SDI picture with its sound on a drive of its own, and passes the picture on.',
    ports: {
      in: { ...sdi('in', 'SDI in', 11.88), ends: { picture: 'needed', sound: 'welcome' } },
      loop: sdi('out', 'Loop output', 11.88),
    },
    routes: { loop: route('in', 'loop', AT_ONCE, { sound: {}, picture: { does: 'pass' } }) },
    controls: { 'record-mbps': amount('Bitrate', 'Mb/s', 10, 1000, 100, 10) },
    storage: {
      medium: 'solid state',
      capacityGb: 500,
      writeMBps: 90,
      bitrateControl: 'record-mbps',
    },
  }),
  deviceClass('recorder-picture', {
    name: 'Picture recorder',
    kind: 'recorder',
    step: 'deliver',
    about: 'Records one picture with its sound on a drive of its own, and passes the picture on.',
    ports: {
      in: {
        ...accepting(hdmi('in', 'HDMI in', 8.16), UHD_30),
        ends: { picture: 'needed', sound: 'welcome' },
      },
      loop: hdmi('out', 'Loop output', 8.16),
    },
    routes: { loop: route('in', 'loop', AT_ONCE, { sound: {}, picture: { does: 'pass' } }) },
    controls: { 'record-mbps': amount('Bitrate', 'Mb/s', 10, 1000, 100, 10) },
    storage: {
      medium: 'card',
      capacityGb: 256,
      writeMBps: 60,
      maxFileGb: 4,
      bitrateControl: 'record-mbps',
    },
  }),
  destination(
    'stream',
    'Live stream',
    'stream',
    'What the audience gets while it happens.',
    { picture: 'needed', sound: 'needed' },
    true,
  ),
  destination(
    'recording-programme',
    'Programme recording',
    'recording',
    'The finished programme in one file.',
    { picture: 'welcome', sound: 'needed' },
  ),
  destination(
    'recording-tracks',
    'Recording, a track per voice',
    'recording',
    'Every sound source in a file of its own, to mix again.',
    { sound: 'needed' },
  ),
  destination(
    'recording-pictures',
    'Recording, a file per picture',
    'recording',
    'Every picture in a file of its own, to cut again.',
    { picture: 'needed' },
  ),
  call(
    'call',
    'Remote guest by call',
    'Someone elsewhere, through a program on the computer. They must hear everything but themself.',
  ),
  call(
    'call-recorded',
    'Remote guest by call, recorded at their side',
    'As the plain one; the service makes a file of their picture and voice where they are, whatever the line does.',
    true,
  ),
  deviceClass('converter-line', {
    name: 'Line level converter, −10 dBV to +4 dBu',
    kind: 'converter',
    step: 'lift',
    about: 'Lifts consumer line to professional line and balances it.',
    ports: { in: consumerIn('Input', 10), out: lineOut('Output', 22) },
    routes: {
      lift: route('in', 'out', AT_ONCE, { sound: { gain: { db: 11.78 }, ownNoiseDbu: -100 } }),
    },
  }),
];
