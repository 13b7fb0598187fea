import type { Model, Route } from '../rig/devices/model';
import { AT_ONCE, choice, deviceClass, each, hdmi, idsOf, route, sdi } from './parts';
import { accepting, formats, HD_60, UHD_30 } from './picture-parts';
import type { ClassId } from './typical-figures';

const splitter = (id: ClassId, name: string, about: string, outputs: number, gbps = 14.4): Model =>
  deviceClass(id, {
    name,
    kind: 'splitter',
    step: 'shape',
    about,
    needsSupply: true,
    ports: {
      in: hdmi('in', 'Input', gbps),
      ...each(outputs, 'out', (n) => hdmi('out', `Output ${n}`, gbps)),
    },
    routes: {
      copy: route('in', idsOf(outputs, 'out'), AT_ONCE, { sound: {}, picture: { does: 'pass' } }),
    },
  });

export const picturePaths: readonly Model[] = [
  splitter('splitter-hdmi-2', 'HDMI splitter, one to two', 'Copies one picture to two places.', 2),
  splitter(
    'splitter-hdmi-4',
    'HDMI splitter, one to four',
    'Copies one picture to four places.',
    4,
  ),
  splitter(
    'splitter-hdmi-8',
    'HDMI splitter, one to eight',
    'Copies one picture to eight places.',
    8,
  ),
  splitter(
    'splitter-hdmi-2-fast',
    'HDMI splitter, one to two, 42 Gb/s',
    'Copies one picture of 2160p60 in ten bits to two places.',
    2,
    42.67,
  ),
  deviceClass('multiview-4', {
    name: 'Multiview box, four HDMI inputs',
    kind: 'converter',
    step: 'shape',
    about: 'Four pictures on one screen, for whoever switches. Each input passes on besides.',
    needsSupply: true,
    mixes: { keyers: 0, resizingKeyers: 0, boxes: 4 },
    ports: {
      ...each(4, 'in', (n) => accepting(hdmi('in', `Input ${n}`, 8.16), UHD_30)),
      ...each(4, 'loop', (n) => hdmi('out', `Loop ${n}`, 8.16)),
      out: hdmi('out', 'Multiview', 8.16),
    },
    routes: {
      view: route(
        idsOf(4, 'in'),
        'out',
        { frames: 1 },
        {
          picture: { does: 'house format', formatControl: 'format', scaler: true },
        },
      ),
      ...each<Route>(4, 'loop', (n) =>
        route(`in-${n}`, `loop-${n}`, AT_ONCE, { sound: {}, picture: { does: 'pass' } }),
      ),
    },
    controls: { format: formats('Output format', HD_60, '1920x1080p60') },
  }),
  deviceClass('splitter-sdi-4', {
    name: 'SDI distribution amplifier, one to four',
    kind: 'splitter',
    step: 'shape',
    about: 'Copies one SDI picture to four runs.',
    needsSupply: true,
    ports: {
      in: sdi('in', 'Input', 11.88),
      'out-1': sdi('out', 'Output 1', 11.88),
      'out-2': sdi('out', 'Output 2', 11.88),
      'out-3': sdi('out', 'Output 3', 11.88),
      'out-4': sdi('out', 'Output 4', 11.88),
    },
    routes: {
      copy: route('in', ['out-1', 'out-2', 'out-3', 'out-4'], AT_ONCE, {
        sound: {},
        picture: { does: 'pass' },
      }),
    },
  }),
  deviceClass('selector-hdmi-4', {
    name: 'HDMI selector, four to one',
    kind: 'selector',
    step: 'combine',
    about: 'Lets one of four pictures through.',
    needsSupply: true,
    ports: {
      'in-1': hdmi('in', 'Input 1', 14.4),
      'in-2': hdmi('in', 'Input 2', 14.4),
      'in-3': hdmi('in', 'Input 3', 14.4),
      'in-4': hdmi('in', 'Input 4', 14.4),
      out: hdmi('out', 'Output', 14.4),
    },
    routes: Object.fromEntries(
      ['1', '2', '3', '4'].map((n) => [
        `through-${n}`,
        route(`in-${n}`, 'out', AT_ONCE, {
          sound: {},
          picture: { does: 'pass' },
          when: { control: 'selected', is: n },
        }),
      ]),
    ),
    controls: {
      selected: {
        type: 'choice',
        label: 'Selected input',
        options: ['1', '2', '3', '4'].map((n) => ({ value: n, label: `Input ${n}` })),
        initial: '1',
      },
    },
  }),
  deviceClass('converter-hdmi-sdi', {
    name: 'Converter, HDMI to SDI',
    kind: 'converter',
    step: 'shape',
    about: 'For runs longer than HDMI goes. Needs its own power.',
    needsSupply: true,
    ports: { in: accepting(hdmi('in', 'HDMI', 8.16), HD_60), out: sdi('out', 'SDI', 2.97) },
    routes: {
      convert: route('in', 'out', { frames: 0 }, { sound: {}, picture: { does: 'pass' } }),
    },
  }),
  deviceClass('converter-sdi-hdmi', {
    name: 'Converter, SDI to HDMI',
    kind: 'converter',
    step: 'shape',
    about: 'At the far end of a long run. Needs its own power.',
    needsSupply: true,
    ports: { in: sdi('in', 'SDI', 2.97), out: hdmi('out', 'HDMI', 8.16) },
    routes: {
      convert: route('in', 'out', { frames: 0 }, { sound: {}, picture: { does: 'pass' } }),
    },
  }),
  deviceClass('converter-scan', {
    name: 'Scan converter and frame synchroniser',
    kind: 'converter',
    step: 'shape',
    about: 'Takes any format and sends the one it is set to.',
    needsSupply: true,
    ports: { in: hdmi('in', 'HDMI in', 14.4), out: hdmi('out', 'HDMI out', 8.16) },
    routes: {
      scale: route(
        'in',
        'out',
        { frames: 2 },
        { sound: {}, picture: { does: 'house format', formatControl: 'format', scaler: true } },
      ),
    },
    controls: { format: formats('Output format', UHD_30, '1920x1080p60') },
  }),
  deviceClass('converter-sdi-12g', {
    name: 'Converter, 12 Gb/s SDI to HDMI',
    kind: 'converter',
    step: 'shape',
    about: 'At the far end of a long run of 2160p. Needs its own power.',
    needsSupply: true,
    ports: {
      in: sdi('in', 'SDI', 11.88),
      out: hdmi('out', 'HDMI', 14.4),
      loop: sdi('out', 'SDI loop', 11.88),
    },
    routes: {
      convert: route(
        'in',
        ['out', 'loop'],
        { frames: 0 },
        { sound: {}, picture: { does: 'pass' } },
      ),
    },
  }),
  deviceClass('selector-hdmi-2', {
    name: 'HDMI selector, two to one',
    kind: 'selector',
    step: 'combine',
    about: 'Lets one of two pictures through.',
    needsSupply: true,
    ports: {
      'in-1': hdmi('in', 'Input 1', 14.4),
      'in-2': hdmi('in', 'Input 2', 14.4),
      out: hdmi('out', 'Output', 14.4),
    },
    routes: Object.fromEntries(
      ['1', '2'].map((n) => [
        `through-${n}`,
        route(`in-${n}`, 'out', AT_ONCE, {
          sound: {},
          picture: { does: 'pass' },
          when: { control: 'selected', is: n },
        }),
      ]),
    ),
    controls: {
      selected: choice(
        'Selected input',
        [
          ['1', 'Input 1'],
          ['2', 'Input 2'],
        ],
        '1',
      ),
    },
  }),
];
