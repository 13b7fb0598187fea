import { framedBy } from '../../passes/framing';
import { nameOfThing } from '../../passes/names';
import { dimTo, hangLamp } from '../../edits/light';
import { exposures } from '../../passes/exposure';
import { faces, type LightSource } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { numberSetting } from '../../rig';
import { batchFix, eachLightRule } from '../rule-of';
import { burning, distanceTo, ofLamp } from './lit';
import { input, SOURCE, sum } from './words';

export const dimmerLow = eachLightRule<LightSource>(
  'light.dimmer-low',
  {
    looksFor: 'A lamp that is turned down further than it burns evenly.',
    why: 'It steps, flickers or changes colour down there.',
    remedy: 'Turn it up, and move it back or put a diffuser on it.',
    source: `${SOURCE}: dimmed LED can flicker at any shutter: test`,
  },
  {
    all: burning,
    about: ofLamp,
    judge: (source, measured) => {
      const { share, figures } = source;
      const name = nameOfThing(measured, source);
      return !figures || 100 * share >= figures.leastPercent - 1e-9
        ? null
        : {
            level: 'note',
            title: `${name} at ${figure(100 * share)} %`,
            says:
              `${name} is turned down to ${figure(100 * share)} %, and burns evenly from ` +
              `${figure(figures.leastPercent, 0)} % on. Turn it up, and move it back or put a diffuser on it.`,
          };
    },
    sums: ({ figures }) => [
      sum('Burns evenly from', 'typical of its class', [], figures?.leastPercent ?? null, '%'),
    ],
    fixes: (source, measured) =>
      source.figures
        ? [
            batchFix(
              `Set ${nameOfThing(measured, source)} to ${figure(source.figures.leastPercent, 0)} %`,
              dimTo(measured, source.id, source.figures.leastPercent),
            ),
          ]
        : [],
  },
);

/** Heads and cloth stay so far from a hot lamp. @unit m */
const HOT_M = 0.8;
const CLOTH: readonly string[] = ['dome', 'soft box', 'lantern', 'diffuser'];

const hotNear = (measured: Measured, source: LightSource) =>
  faces(measured).find((face) => distanceTo(face, source) < HOT_M);

export const hot = eachLightRule<LightSource>(
  'light.hot',
  {
    looksFor: 'A lamp with a hot outside that wears cloth, or that stands at somebody’s head.',
    why: 'Cloth burns, and so does skin.',
    remedy: 'Take the cloth off it and keep a metre away. Let it cool before you touch it.',
    source: `${SOURCE}: cautions`,
  },
  {
    all: burning,
    about: ofLamp,
    judge: (source, measured) => {
      if (!source.figures?.isHot) return null;
      const { lamp } = source;
      const name = nameOfThing(measured, source);
      const cloth = lamp?.modifier && CLOTH.includes(lamp.modifier.is) ? lamp.modifier : null;
      const face = hotNear(measured, source);
      if (!cloth && !face) return null;
      return {
        level: 'stop',
        title: cloth ? `${cloth.name} on a hot lamp` : `${name} at the head of ${face?.name ?? ''}`,
        says:
          (cloth
            ? `${name} is hot outside and wears ${cloth.name}, which is cloth: it can burn. Take it off. `
            : `${name} is hot outside and hangs ${figure(face ? distanceTo(face, source) : 0, 2)} m from the ` +
              `head of ${face?.name ?? ''}. Move it at least ${HOT_M} m away. `) +
          'Use gloves, keep its glass whole and its safety mesh on, and ask someone competent.',
      };
    },
    sums: (source, measured) => {
      const face = hotNear(measured, source);
      return [
        sum(
          'From the nearest head',
          'through the room',
          [],
          face ? distanceTo(face, source) : null,
          'm',
          'the plan',
        ),
      ];
    },
    fixes: (source, measured) =>
      source.lamp?.modifier
        ? [
            batchFix(`Take ${source.lamp.modifier.name} off ${nameOfThing(measured, source)}`, [
              hangLamp(source.id, { modifier: null }),
            ]),
          ]
        : [],
  },
);

/** So many pulses of a dimmer in an exposure even out. */
const MANY_PULSES = 20;

interface Pulsing {
  readonly source: LightSource;
  readonly pwmHz: number;
  /** The camera whose exposure holds fewest pulses */
  readonly camera: string;
  readonly shutter: number;
  readonly pulses: number;
}

const pulsing = (measured: Measured): Pulsing[] =>
  burning(measured).flatMap((source) => {
    const flicker = source.figures?.flicker;
    if (typeof flicker !== 'object' || source.share > 0.995) return [];
    const worst = exposures(measured)
      .flatMap(({ framing }) => {
        const { camera, exposure } = framing;
        const device = framedBy(measured, framing);
        const shutter =
          camera && exposure === 'set' ? numberSetting(device, camera.shutterControl) : undefined;
        return shutter === undefined ? [] : [{ camera: device.name, shutter }];
      })
      .sort((a, b) => b.shutter - a.shutter)[0];
    return worst
      ? [{ source, pwmHz: flicker.pwmHz, ...worst, pulses: flicker.pwmHz / worst.shutter }]
      : [];
  });

export const pwm = eachLightRule<Pulsing>(
  'light.pwm',
  {
    looksFor: 'A lamp that is dimmed by pulses, few of which fall into an exposure.',
    why: 'Some frames take in a pulse more than others, and bands stand in the picture.',
    remedy: 'Turn it up full, or use a slower shutter, and test it on camera.',
    source:
      'handbook 3-picture: a stated PWM rate; 6-light: dimmed LED can flicker at any shutter: test',
  },
  {
    all: pulsing,
    about: ({ source }) => ofLamp(source),
    judge: ({ source, pwmHz, camera, shutter, pulses }, measured) =>
      pulses >= MANY_PULSES || Math.abs(pulses - Math.round(pulses)) < 0.01
        ? null
        : {
            level: 'note',
            title: `${figure(pulses)} pulses of ${nameOfThing(measured, source)} in an exposure`,
            says:
              `${nameOfThing(measured, source)} is dimmed by ${figure(pwmHz, 0)} pulses a second; ` +
              `at 1/${figure(shutter, 0)} s ` +
              `${camera} takes in ${figure(pulses)} of them: bands may stand in the picture. Turn it up ` +
              'full, use a slower shutter, and test it.',
          },
    sums: ({ pwmHz, shutter, pulses }) => [
      sum(
        'Pulses in an exposure',
        'rate × shutter time',
        [input('rate', pwmHz, 'Hz'), input('shutter', shutter, '1/s')],
        pulses,
        '',
        'handbook 3-picture',
      ),
    ],
    fixes: ({ source }, measured) => [
      batchFix(`Turn ${nameOfThing(measured, source)} up full`, dimTo(measured, source.id, 100)),
    ],
  },
);
