import type { Model, Route } from '../rig/devices/model';
import {
  AT_ONCE,
  deviceClass,
  each,
  gain,
  lineOut,
  micIn,
  preampToDigital,
  route,
  toggle,
} from './parts';

/** What lifts a weak signal before anything else touches it. */
export const preamps: readonly Model[] = [
  deviceClass('booster-inline', {
    name: 'Inline booster, 25 dB',
    kind: 'booster',
    step: 'lift',
    about:
      'Fixed clean gain at the end of the microphone cable. Runs on phantom power and passes none on.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Input',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        inputOhms: 3000,
        maxInDbu: -16,
      },
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 150,
        maxOutDbu: 9,
        phantomNeedMa: 3,
      },
    },
    routes: {
      boost: route('in', 'out', AT_ONCE, { sound: { gain: { db: 25 }, ownNoiseDbu: -129.5 } }),
    },
    spread: {
      'routes.boost.sound.gain.db': [18, 28],
      'routes.boost.sound.ownNoiseDbu': [-130.5, -127],
    },
  }),
  deviceClass('preamp-one', {
    name: 'Microphone preamp, one channel',
    kind: 'preamp',
    step: 'lift',
    about: 'High clean gain and a line output.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Input',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        inputOhms: 3000,
        maxInDbu: 18,
        phantomSupply: { control: 'phantom', maxMa: 10 },
      },
      out: lineOut('Output', 24, 'xlr', 100),
    },
    routes: {
      lift: route('in', 'out', AT_ONCE, {
        sound: {
          gain: { control: 'gain' },
          pad: { control: 'pad', db: -20 },
          ein: [{ gainDb: 70, dbu: -128.5 }],
          outputNoiseDbu: -92,
        },
      }),
    },
    controls: {
      gain: gain('Gain', 0, 70, 40),
      pad: toggle('Pad, 20 dB'),
      phantom: toggle('Phantom power'),
    },
  }),
  deviceClass('preamp-eight-optical', {
    name: 'Eight preamps to optical',
    kind: 'preamp',
    step: 'lift',
    about: 'Eight microphone channels for an interface that has an optical input.',
    ports: {
      ...each(8, 'mic', (n) => micIn(`Channel ${n}`, 3000, 16, 'phantom', 80)),
      optical: {
        family: 'digital sound',
        direction: 'out',
        name: 'Optical out',
        connector: 'optical',
        channels: 8,
        rateHz: 48_000,
      },
    },
    routes: each<Route>(8, 'mic', (n) =>
      route(
        `mic-${n}`,
        'optical',
        { ms: 1 },
        { sound: preampToDigital(`gain-${n}`, -126, 60, 110) },
      ),
    ),
    controls: {
      ...each(8, 'gain', (n) => gain(`Gain ${n}`, 0, 60, 40)),
      phantom: toggle('Phantom power, all channels'),
    },
  }),
];
