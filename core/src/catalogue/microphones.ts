import type { Model } from '../rig/devices/model';
import type { Pattern } from '../rig/devices/sound-model';
import { choice, deviceClass, gain, mouthDistance, route, usbDevice } from './parts';
import { stereoPair } from './stereo-pair';
import { wireless } from './wireless';
import type { ClassId } from './typical-figures';

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
  /** A small plug instead of XLR: for cameras, phones and transmitters, which power it */
  readonly smallPlug?: true;
  /** Powered by a supply of its own */
  readonly needsSupply?: true;
  readonly spread: readonly [number, number];
}

export const wired = (id: ClassId, capsule: Capsule): Model =>
  deviceClass(id, {
    name: capsule.name,
    kind: 'microphone',
    step: 'source',
    about: capsule.about,
    ...(capsule.needsSupply ? { needsSupply: true } : {}),
    ports: {
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: capsule.smallPlug ? 'mini-jack' : 'xlr',
        nominal: 'microphone',
        balanced: !capsule.smallPlug,
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
      distance: mouthDistance(capsule.distanceM),
      ...(typeof capsule.pattern === 'string' ? {} : { pattern: patternChoice(capsule.pattern) }),
    },
    spread: { 'ports.out.emits.sound.sensitivityMvPerPa': [capsule.spread[0], capsule.spread[1]] },
  });

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
    pattern: 'half space',
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
  wired('mic-dynamic-active', {
    name: 'Broadcast dynamic with its own lift',
    about:
      'As the one of low output, with an amplifier in its body: needs phantom power and no booster.',
    mvPerPa: 19.6,
    ohms: 150,
    selfNoise: 23,
    maxSpl: 134,
    distanceM: 0.08,
    pattern: 'cardioid',
    phantomMa: 3,
    spread: [14, 24],
  }),
  wired('mic-tube', {
    name: 'Tube condenser with its own supply',
    about:
      'A valve in the capsule’s body; its supply box powers it and is plugged into the mains. Needs no phantom power.',
    mvPerPa: 18,
    ohms: 200,
    selfNoise: 17,
    maxSpl: 132,
    distanceM: 0.25,
    pattern: ['cardioid', 'omni', 'figure of eight'],
    needsSupply: true,
    spread: [10, 28],
  }),
  wired('mic-on-camera', {
    name: 'Microphone on top of a camera',
    about:
      'A short shotgun with a small plug, powered by the camera. A scratch track, not a voice.',
    mvPerPa: 16,
    ohms: 200,
    selfNoise: 20,
    maxSpl: 128,
    distanceM: 1.2,
    pattern: 'supercardioid',
    smallPlug: true,
    spread: [8, 32],
  }),
  wired('mic-lavalier-plug', {
    name: 'Lavalier with a small plug',
    about:
      'Clip-on capsule on a thin cable, powered by the phone, camera or pack it is plugged into.',
    mvPerPa: 10,
    ohms: 400,
    selfNoise: 28,
    maxSpl: 120,
    distanceM: 0.2,
    pattern: 'omni',
    smallPlug: true,
    spread: [5, 18],
  }),
  stereoPair,
  ...wireless,
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
