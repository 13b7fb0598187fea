import type { Model, Route } from '../rig/devices/model';
import {
  amount,
  AT_ONCE,
  deviceClass,
  each,
  gain,
  idsOf,
  lineIn,
  lineOut,
  route,
  toggle,
} from './parts';

const dynamicsControls = {
  compress: toggle('Compressor in'),
  threshold: amount('Threshold', 'dBu', -60, 20, 0, 0.5),
  ratio: amount('Ratio', ': 1', 1, 20, 3, 0.1),
  'make-up': amount('Make-up gain', 'dB', 0, 24, 0, 0.5),
  gate: toggle('Gate in'),
  'gate-threshold': amount('Gate threshold', 'dBu', -80, 20, -40, 0.5),
  'gate-range': amount('Gate closes by', 'dB', 0, 60, 12, 1),
  'de-ess': toggle('De-esser in'),
  'de-ess-range': amount('De-esser takes up to', 'dB', 0, 12, 6, 0.5),
  equalise: toggle('Equaliser in'),
  low: amount('Lift at 120 Hz', 'dB', -12, 12, 0, 0.5),
  middle: amount('Lift at 2.5 kHz', 'dB', -12, 12, 0, 0.5),
  high: amount('Lift at 10 kHz', 'dB', -12, 12, 0, 0.5),
};

const dynamics = {
  compressor: {
    inSwitch: 'compress',
    thresholdControl: 'threshold',
    ratioControl: 'ratio',
    makeUpControl: 'make-up',
  },
  gate: { inSwitch: 'gate', thresholdControl: 'gate-threshold', rangeControl: 'gate-range' },
  deEsser: { inSwitch: 'de-ess', rangeControl: 'de-ess-range' },
  equaliser: {
    inSwitch: 'equalise',
    bands: [
      { hz: 120, control: 'low' },
      { hz: 2500, control: 'middle' },
      { hz: 10_000, control: 'high' },
    ],
  },
};

/** What shapes sound: for one voice, and before loudspeakers. */
export const processors: readonly Model[] = [
  deviceClass('channel-processor', {
    name: 'Channel processor',
    kind: 'channel-processor',
    step: 'shape',
    about:
      'Preamp, gate, compressor, de-esser, equaliser and line output for one voice. Gate ' +
      'and compressor act on the level after the gain.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Microphone input',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        inputOhms: 2400,
        maxInDbu: 15,
        phantomSupply: { control: 'phantom', maxMa: 10 },
      },
      line: {
        family: 'analogue',
        direction: 'in',
        name: 'Line input',
        connector: 'jack',
        nominal: 'line',
        balanced: true,
        inputOhms: 20_000,
        maxInDbu: 24,
      },
      out: lineOut('Output', 22, 'xlr', 120),
    },
    routes: {
      microphone: route('in', 'out', AT_ONCE, {
        sound: {
          gain: { control: 'gain' },
          pad: { control: 'pad', db: -20 },
          ein: [{ gainDb: 60, dbu: -125 }],
          outputNoiseDbu: -86,
          ...dynamics,
        },
      }),
      line: route('line', 'out', AT_ONCE, {
        sound: {
          gain: { control: 'line-gain' },
          ownNoiseDbu: -96,
          outputNoiseDbu: -86,
          ...dynamics,
        },
      }),
    },
    controls: {
      gain: gain('Gain', 0, 60, 40),
      'line-gain': gain('Line gain', -20, 20, 0),
      pad: toggle('Pad, 20 dB'),
      phantom: toggle('Phantom power'),
      ...dynamicsControls,
    },
  }),
  deviceClass('loudspeaker-processor', {
    name: 'Loudspeaker processor',
    kind: 'channel-processor',
    step: 'hear and see',
    about: 'Two lines in, four to loudspeakers, each with its level and its delay.',
    ports: {
      ...each(2, 'in', (n) => lineIn(`Input ${n}`, 22, 'xlr')),
      ...each(4, 'out', (n) => lineOut(`Output ${n}`, 20, 'xlr')),
    },
    routes: each<Route>(4, 'out', (n) =>
      route(
        idsOf(2, 'in'),
        `out-${n}`,
        { control: `delay-${n}` },
        { sound: { gain: { control: `level-${n}` }, outputNoiseDbu: -90 } },
      ),
    ),
    controls: {
      ...each(4, 'level', (n) => gain(`Level ${n}`, -60, 6, 0, 0.5)),
      ...each(4, 'delay', (n) => amount(`Delay ${n}`, 'ms', 1, 600, 1, 0.1)),
    },
  }),
];
