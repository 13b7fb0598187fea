import type { Model } from '../rig/model';
import type { Pattern } from '../rig/sound-model';
import {
  amount,
  AT_ONCE,
  choice,
  deviceClass,
  gain,
  lineOut,
  route,
  software,
  toggle,
  usbDevice,
} from './parts';

const distance = (initial: number) =>
  amount('Distance from the mouth', 'm', 0.01, 20, initial, 0.01);

const patternChoice = (patterns: readonly [Pattern, ...Pattern[]]) =>
  choice(
    'Pattern',
    patterns.map((pattern) => [pattern, `${pattern[0]?.toUpperCase() ?? ''}${pattern.slice(1)}`]),
    patterns[0],
  );

interface Capsule {
  readonly name: string;
  readonly about: string;
  readonly mvPerPa: number;
  readonly ohms: number;
  /** Active capsules only. @unit dB(A) SPL */
  readonly selfNoise?: number;
  readonly maxSpl: number;
  readonly distanceM: number;
  readonly phantomMa?: number;
  readonly phantomHarms?: boolean;
  /** Fixed, or the patterns it can be switched to, the usual one first */
  readonly pattern: Pattern | readonly [Pattern, ...Pattern[]];
  readonly spread: readonly [number, number];
}

const wired = (id: string, capsule: Capsule): Model =>
  deviceClass(id, {
    name: capsule.name,
    kind: 'microphone',
    step: 'source',
    about: capsule.about,
    ports: {
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: capsule.ohms,
        maxOutDbu: null,
        ...(capsule.phantomMa === undefined ? {} : { phantomNeedMa: capsule.phantomMa }),
        ...(capsule.phantomHarms ? { phantomHarms: true } : {}),
        emits: {
          sound: {
            type: 'microphone',
            sensitivityMvPerPa: capsule.mvPerPa,
            selfNoiseDbaSpl: capsule.selfNoise ?? null,
            maxSpl: capsule.maxSpl,
            distanceControl: 'distance',
            pattern: typeof capsule.pattern === 'string' ? capsule.pattern : { control: 'pattern' },
          },
        },
      },
    },
    controls: {
      distance: distance(capsule.distanceM),
      ...(typeof capsule.pattern === 'string' ? {} : { pattern: patternChoice(capsule.pattern) }),
    },
    spread: { 'ports.out.emits.sound.sensitivityMvPerPa': [capsule.spread[0], capsule.spread[1]] },
  });

/** @param records whether it also writes a file of its own */
const transmitter = (id: string, name: string, about: string, records: boolean): Model => {
  const ein = [{ gainDb: 40, dbu: -122 }];
  return deviceClass(id, {
    name,
    kind: 'wireless',
    step: 'lift',
    about,
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Capsule input',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        inputOhms: 3000,
        maxInDbu: 6,
        phantomSupply: { control: 'power', maxMa: 5 },
      },
      radio: {
        family: 'analogue',
        direction: 'out',
        name: 'Radio',
        connector: 'radio',
        nominal: 'line',
        balanced: false,
        sourceOhms: 0,
        maxOutDbu: 6,
      },
      ...(records ? { card: software('out', 'Card', { ends: { sound: 'welcome' } }) } : {}),
    },
    routes: {
      // The radio's own noise, companded or digital, lies a fixed distance under its ceiling whatever the gain.
      send: route(
        'in',
        'radio',
        { ms: 1.5 },
        { sound: { gain: { control: 'gain' }, ein, outputNoiseDbu: -100 } },
      ),
      ...(records
        ? {
            record: route(
              'in',
              'card',
              { ms: 1 },
              { sound: { gain: { control: 'gain' }, ein, toDigital: { dynamicRangeDba: 104 } } },
            ),
          }
        : {}),
    },
    controls: {
      gain: gain('Transmitter gain', 0, 40, 24),
      power: toggle('Power for the capsule', true),
    },
    batteryMin: 360,
    spread: { 'routes.send.sound.outputNoiseDbu': [-108, -92] },
  });
};

export const microphones: readonly Model[] = [
  wired('mic-dynamic-quiet', {
    name: 'Broadcast dynamic, low output',
    about: 'End-address dynamic for speech close up. Rejects the room, needs a lot of clean gain.',
    mvPerPa: 1.1,
    ohms: 300,
    maxSpl: 150,
    distanceM: 0.08,
    pattern: 'cardioid',
    spread: [0.9, 1.6],
  }),
  wired('mic-dynamic-stage', {
    name: 'Stage dynamic, hand-held',
    about: 'Cardioid hand-held dynamic. Tough, forgiving, moderate output.',
    mvPerPa: 2.2,
    ohms: 200,
    maxSpl: 150,
    distanceM: 0.05,
    pattern: 'cardioid',
    spread: [1.6, 2.8],
  }),
  wired('mic-condenser-large', {
    name: 'Large-diaphragm condenser',
    about: 'Sensitive and quiet; hears the room too. Needs phantom power.',
    mvPerPa: 20,
    ohms: 50,
    selfNoise: 12,
    maxSpl: 135,
    distanceM: 0.2,
    pattern: ['cardioid', 'omni', 'figure of eight'],
    phantomMa: 3,
    spread: [12, 28],
  }),
  wired('mic-condenser-small', {
    name: 'Small-diaphragm condenser',
    about: 'Slim condenser for instruments and overheads. Needs phantom power.',
    mvPerPa: 12,
    ohms: 100,
    selfNoise: 16,
    maxSpl: 138,
    distanceM: 0.4,
    pattern: 'cardioid',
    phantomMa: 3,
    spread: [7, 20],
  }),
  wired('mic-shotgun', {
    name: 'Short shotgun condenser',
    about: 'Narrow pattern for a microphone out of the picture. Needs phantom power.',
    mvPerPa: 30,
    ohms: 60,
    selfNoise: 14,
    maxSpl: 130,
    distanceM: 0.6,
    pattern: 'hypercardioid',
    phantomMa: 2,
    spread: [20, 50],
  }),
  wired('mic-ribbon', {
    name: 'Passive ribbon',
    about: 'Smooth and very low in output. Phantom power can damage it.',
    mvPerPa: 1.5,
    ohms: 300,
    maxSpl: 140,
    distanceM: 0.3,
    pattern: 'figure of eight',
    phantomHarms: true,
    spread: [0.8, 2.5],
  }),
  wired('mic-lavalier', {
    name: 'Lavalier, wired',
    about: 'Clip-on capsule with an XLR power adapter. Needs phantom power.',
    mvPerPa: 8,
    ohms: 200,
    selfNoise: 26,
    maxSpl: 128,
    distanceM: 0.2,
    pattern: 'omni',
    phantomMa: 3,
    spread: [4, 16],
  }),
  wired('mic-boundary', {
    name: 'Boundary condenser',
    about: 'Lies on a table and hears everyone at it. Needs phantom power.',
    mvPerPa: 14,
    ohms: 150,
    selfNoise: 22,
    maxSpl: 130,
    distanceM: 0.8,
    pattern: 'omni',
    phantomMa: 4,
    spread: [8, 25],
  }),
  wired('mic-headset', {
    name: 'Headset condenser, wired',
    about: 'Capsule at the corner of the mouth for people who move. Needs phantom power.',
    mvPerPa: 5,
    ohms: 200,
    selfNoise: 30,
    maxSpl: 140,
    distanceM: 0.04,
    pattern: 'omni',
    phantomMa: 3,
    spread: [3, 8],
  }),
  deviceClass('mic-wireless', {
    name: 'Wireless lavalier with receiver',
    kind: 'wireless',
    step: 'source',
    about:
      'Clip-on capsule, transmitter and receiver as one. The receiver sends microphone ' +
      'level; phantom power is not needed.',
    ports: {
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Receiver output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 200,
        maxOutDbu: 0,
        emits: {
          sound: {
            type: 'microphone',
            sensitivityMvPerPa: 20,
            selfNoiseDbaSpl: 30,
            maxSpl: 128,
            distanceControl: 'distance',
            pattern: 'omni',
          },
        },
      },
    },
    controls: { distance: distance(0.2) },
    spread: { 'ports.out.emits.sound.sensitivityMvPerPa': [8, 40] },
  }),
  transmitter(
    'wireless-transmitter',
    'Wireless body transmitter',
    'Takes a wired lavalier or headset and sends it by radio. Its own gain comes before ' +
      'the radio; runs on its battery.',
    false,
  ),
  transmitter(
    'wireless-transmitter-recording',
    'Wireless body transmitter that records',
    'As the plain one, and records on its own card besides: a recording that no interference reaches.',
    true,
  ),
  deviceClass('wireless-receiver', {
    name: 'Wireless receiver',
    kind: 'wireless',
    step: 'lift',
    about:
      'Gives what a body transmitter sends to a microphone input, at the level its own gain says.',
    ports: {
      radio: {
        family: 'analogue',
        direction: 'in',
        name: 'Radio',
        connector: 'radio',
        nominal: 'line',
        balanced: false,
        inputOhms: 1_000_000,
        maxInDbu: 6,
      },
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 200,
        maxOutDbu: 6,
      },
    },
    routes: {
      receive: route(
        'radio',
        'out',
        { ms: 1.5 },
        { sound: { gain: { control: 'gain' }, ownNoiseDbu: -110 } },
      ),
    },
    controls: { gain: gain('Receiver gain', -40, 0, -20) },
  }),
  deviceClass('mic-usb', {
    name: 'USB microphone',
    kind: 'microphone',
    step: 'source',
    about: 'Capsule, preamp and converter in one. The simplest way for one person.',
    ports: {
      usb: {
        ...usbDevice(0.48),
        emits: { sound: { type: 'digital', levelDbfs: -24, crestDb: 14, noiseDbfs: -84 } },
      },
      phones: {
        family: 'analogue',
        direction: 'out',
        name: 'Headphones',
        connector: 'mini-jack',
        nominal: 'headphone',
        balanced: false,
        sourceOhms: 10,
        maxOutDbu: 8,
      },
    },
    routes: {
      listen: route(
        'usb',
        'phones',
        { ms: 5.3 },
        {
          sound: {
            gain: { control: 'phones' },
            toAnalogue: { fullScaleDbu: 8, dynamicRangeDba: 100 },
          },
        },
      ),
    },
    controls: { phones: gain('Headphones', -60, 0, -12) },
  }),
];

/** Things that lift a weak signal before anything else touches it. */
export const lifts: readonly Model[] = [
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
  deviceClass('direct-box-active', {
    name: 'Direct box, active',
    kind: 'direct-box',
    step: 'lift',
    about: 'Takes an instrument or unbalanced line to a microphone input. Needs phantom power.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Input',
        connector: 'jack',
        nominal: 'instrument',
        balanced: false,
        inputOhms: 1_000_000,
        maxInDbu: 12,
      },
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 200,
        maxOutDbu: 0,
        phantomNeedMa: 4,
      },
    },
    routes: {
      through: route('in', 'out', AT_ONCE, { sound: { gain: { db: -15 }, ownNoiseDbu: -105 } }),
    },
  }),
  deviceClass('direct-box-passive', {
    name: 'Direct box, passive',
    kind: 'direct-box',
    step: 'lift',
    about:
      'A transformer from instrument or line to a microphone input. Stops ground hum; passes no phantom power.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Input',
        connector: 'jack',
        nominal: 'instrument',
        balanced: false,
        inputOhms: 140_000,
        maxInDbu: 20,
      },
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 150,
        maxOutDbu: 0,
      },
    },
    routes: { through: route('in', 'out', AT_ONCE, { sound: { gain: { db: -22 } } }) },
  }),
  deviceClass('pad-inline', {
    name: 'Inline pad, 20 dB',
    kind: 'converter',
    step: 'lift',
    about: 'A barrel that takes a line output down to a microphone input. Phantom power passes.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Input',
        connector: 'xlr',
        nominal: 'line',
        balanced: true,
        inputOhms: 1200,
        maxInDbu: 26,
      },
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 150,
        maxOutDbu: 6,
      },
    },
    routes: {
      pad: route('in', 'out', AT_ONCE, { sound: { gain: { db: -20 }, passesPhantom: true } }),
    },
  }),
  deviceClass('splitter-sound', {
    name: 'Microphone splitter, transformer',
    kind: 'splitter',
    step: 'lift',
    about: 'One microphone to two desks. Only the direct output passes phantom power.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Input',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        inputOhms: 10_000,
        maxInDbu: 10,
      },
      direct: {
        family: 'analogue',
        direction: 'out',
        name: 'Direct',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 200,
        maxOutDbu: 10,
      },
      isolated: {
        family: 'analogue',
        direction: 'out',
        name: 'Isolated',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 220,
        maxOutDbu: 10,
      },
    },
    routes: {
      direct: route('in', 'direct', AT_ONCE, { sound: { passesPhantom: true } }),
      isolated: route('in', 'isolated', AT_ONCE, { sound: { gain: { db: -1 } } }),
    },
  }),
];

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

export const shapers: readonly Model[] = [
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
];
