import type { LightFigures } from '../rig/devices/light-figures';
import type { Model } from '../rig/devices/model';
import { amount, deviceClass, toggle } from './parts';
import type { ClassId } from './typical-figures';

/**
 * Fixtures. Illuminance on the axis at 1 m, bare, as data sheets of each class give it: within a class
 * it strays by a third either way, which is what `spread` says.
 */

interface Draft {
  readonly name: string;
  readonly about: string;
  readonly is: LightFigures['is'];
  readonly lux: number;
  readonly beam: number;
  readonly size: readonly [widthM: number, heightM: number];
  /** Coolest and warmest, K; one figure where it is fixed */
  readonly kelvin: readonly [number, number] | number;
  readonly more?: Partial<LightFigures>;
  /** How long its battery lasts, turned up full. @unit min */
  readonly batteryMin?: number;
}

const DAYLIGHT = 5600;
const ALL_WAYS: LightFigures['control'] = ['knob', 'app', 'remote'];

const fixture = (
  id: ClassId,
  { name, about, is, lux, beam, size, kelvin, more = {}, batteryMin }: Draft,
): Model => {
  const [leastK, mostK] = typeof kelvin === 'number' ? [kelvin, kelvin] : kelvin;
  const hasColours = leastK !== mostK;
  return {
    ...deviceClass(id, {
      name,
      kind: 'light',
      step: 'source',
      about,
      ports: {},
      controls: {
        dimmer: amount('Dimmer', '%', 0, 100, 100, 0.1),
        ...(hasColours
          ? {
              colour: amount(
                'Colour',
                'K',
                leastK,
                mostK,
                Math.min(mostK, Math.max(leastK, DAYLIGHT)),
                50,
              ),
            }
          : {}),
        ...(batteryMin === undefined ? {} : { mains: toggle('On a mains adapter', true) }),
      },
    }),
    light: {
      is,
      luxAt1m: lux,
      beamDeg: beam,
      widthM: size[0],
      heightM: size[1],
      leastK,
      mostK,
      isRgb: false,
      cri: 95,
      dimmerControl: 'dimmer',
      ...(hasColours ? { colourControl: 'colour' } : {}),
      leastPercent: 1,
      flicker: 'none',
      control: ALL_WAYS,
      isHot: false,
      takesModifiers: is === 'panel' || is === 'COB lamp' || is === 'spot',
      ...(batteryMin === undefined
        ? {}
        : { battery: { lastsMin: batteryMin, mainsControl: 'mains' } }),
      ...more,
    },
    spread: {
      'light.luxAt1m': [Math.round(0.67 * lux), Math.round(1.33 * lux)],
      'light.beamDeg': [Math.round(0.85 * beam), Math.min(360, Math.round(1.15 * beam))],
    },
  };
};

export const lights: readonly Model[] = [
  fixture('light-panel-small', {
    name: 'Key panel, small',
    about: 'A flat panel of 0.2 m for a desk; light and cheap, and hard for its size.',
    is: 'panel',
    batteryMin: 90,
    lux: 900,
    beam: 110,
    size: [0.2, 0.13],
    kelvin: [2700, 6500],
    more: { control: ['knob', 'app'], takesModifiers: false },
  }),
  fixture('light-panel', {
    name: 'Key panel',
    about: 'A flat panel of 0.3 m, bi-colour: the usual key of a desk.',
    is: 'panel',
    lux: 1500,
    beam: 110,
    size: [0.3, 0.3],
    kelvin: [2700, 6500],
    more: { control: ['knob', 'app'] },
  }),
  fixture('light-panel-large', {
    name: 'Key panel, large',
    about: 'A panel of 0.6 by 0.3 m that reaches across a set.',
    is: 'panel',
    lux: 4200,
    beam: 100,
    size: [0.6, 0.3],
    kelvin: [2700, 6500],
    more: { control: ['knob', 'app', 'remote', 'address'] },
  }),
  fixture('light-cob-60', {
    name: 'COB lamp, 60 W',
    about: 'One bright chip with a fan; made for a dome or a lantern.',
    is: 'COB lamp',
    lux: 2100,
    beam: 120,
    size: [0.06, 0.06],
    kelvin: DAYLIGHT,
    more: { control: ['knob', 'app'], takesModifiers: true },
  }),
  fixture('light-cob-120', {
    name: 'COB lamp, 120 W',
    about: 'One bright chip with a fan: with a dome of 0.9 m the usual key of a small set.',
    is: 'COB lamp',
    lux: 4200,
    beam: 120,
    size: [0.07, 0.07],
    kelvin: DAYLIGHT,
    more: { control: ['knob', 'app', 'address'] },
  }),
  fixture('light-cob-300', {
    name: 'COB lamp, 300 W, bi-colour',
    about: 'For a key from far, or against a window; its fan is heard.',
    is: 'COB lamp',
    lux: 10_500,
    beam: 120,
    size: [0.08, 0.08],
    kelvin: [2700, 6500],
    more: { control: ['knob', 'app', 'address'] },
  }),
  fixture('light-lantern', {
    name: 'Lantern',
    about: 'A ball of cloth round a chip: soft on everybody, and on every wall as well.',
    is: 'lantern',
    lux: 620,
    beam: 270,
    size: [0.65, 0.65],
    kelvin: [2700, 6500],
    more: { control: ['knob', 'app'] },
  }),
  fixture('light-tube', {
    name: 'Tube, 1.2 m',
    about: 'A tube of all colours with a battery: into a corner, behind a head, along a wall.',
    is: 'tube',
    lux: 420,
    beam: 120,
    size: [0.04, 1.2],
    batteryMin: 120,
    kelvin: [2700, 7500],
    more: { isRgb: true, control: ['knob', 'app', 'remote', 'address'] },
  }),
  fixture('light-strip', {
    name: 'Strip, 2 m',
    about: 'A strip of all colours stuck along a shelf. Dimmed by pulses.',
    is: 'strip',
    lux: 160,
    beam: 120,
    size: [2, 0.012],
    kelvin: [2700, 6500],
    more: { isRgb: true, cri: 80, flicker: { pwmHz: 1000 }, control: ['remote', 'app'] },
  }),
  fixture('light-ring', {
    name: 'Ring light, 0.45 m',
    about: 'Round the lens: flat, and a ring in every eye and every pair of glasses.',
    is: 'ring',
    lux: 1500,
    beam: 100,
    size: [0.45, 0.45],
    kelvin: [3000, 5800],
    more: { cri: 90, control: ['knob'] },
  }),
  fixture('light-spot', {
    name: 'Spot with barn doors',
    about: 'A lens that throws a narrow beam: hair, a face from far, a pool on a wall.',
    is: 'spot',
    lux: 12_000,
    beam: 25,
    size: [0.12, 0.12],
    kelvin: [2800, 6500],
    more: { control: ['knob', 'address'] },
  }),
  fixture('light-spot-far', {
    name: 'Spot for a hall, 300 W',
    about: 'A hard, narrow beam over ten metres and more, from a bar over the audience.',
    is: 'spot',
    lux: 45_000,
    beam: 20,
    size: [0.15, 0.15],
    kelvin: [2800, 6500],
    more: { control: ['address'], takesModifiers: false },
  }),
  fixture('light-spot-hot', {
    name: 'Spot, tungsten, 650 W',
    about: 'A filament behind a glass lens: as steady as light gets, and as hot.',
    is: 'spot',
    lux: 9000,
    beam: 40,
    size: [0.12, 0.12],
    kelvin: 3200,
    more: { cri: 100, isHot: true, control: ['address'], leastPercent: 10 },
  }),
  fixture('light-practical', {
    name: 'Lamp in the picture',
    about: 'A household lamp that is meant to be seen. Nobody knows how its bulb flickers.',
    is: 'practical',
    lux: 60,
    beam: 300,
    size: [0.25, 0.25],
    kelvin: 2700,
    more: { cri: 82, flicker: 'unknown', control: ['knob'], leastPercent: 10 },
  }),
  fixture('light-flood', {
    name: 'Flood light, 120°',
    about: 'An even wash over a wall or a green screen.',
    is: 'flood',
    lux: 1500,
    beam: 120,
    size: [0.3, 0.1],
    kelvin: DAYLIGHT,
    more: { control: ['knob', 'app', 'address'] },
  }),
  fixture('light-house', {
    name: 'House light of the room',
    about:
      'What hangs in a room anyway. Few are steady on camera, and nobody has said of this one.',
    is: 'practical',
    lux: 350,
    beam: 120,
    size: [1.2, 0.3],
    kelvin: 4000,
    more: { cri: 80, flicker: 'unknown', control: ['knob'], leastPercent: 100 },
  }),
];
