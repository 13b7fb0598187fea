import { nameOfThing } from '../../passes/names';
import { dimTo, hangLamp, moveLamp } from '../../edits/light';
import {
  backdropsLit,
  type FaceLight,
  faces,
  isLit,
  type LitBackdrop,
  lightSources,
} from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { looking, stepped } from '../../passes/place';
import { figure, type Sum } from '../../passes/sum';
import { usualModifier } from '../../rig';
import { batchFix, eachLightRule } from '../rule-of';
import { input, lux, ofBackdrop, ofPerson, SOURCE, stops, sum } from './words';

const greens = (measured: Measured): LitBackdrop[] =>
  isLit(measured)
    ? backdropsLit(measured).filter(({ backdrop }) => backdrop.is === 'green screen')
    : [];

const evenSum = ({ leastLux, mostLux, evenness }: LitBackdrop): Sum[] => [
  sum(
    'Evenness',
    'brightest ÷ darkest of its points',
    [input('brightest', mostLux, 'lux'), input('darkest', leastLux, 'lux')],
    evenness,
    ': 1',
  ),
];

/** The lamps that are pointed at a backdrop. */
const lampsOn = (measured: Measured, { id }: LitBackdrop) =>
  lightSources(measured).filter(
    ({ lamp }) => lamp?.aim.at === 'backdrop' && lamp.aim.backdropId === id,
  );

export const uneven = eachLightRule<LitBackdrop>(
  'light.screen-uneven',
  {
    looksFor: 'A green screen that is brighter in one place than in another.',
    why: 'The key that cuts the middle out leaves the corners in, or eats hair.',
    remedy: 'Move its lamps farther back, or farther apart.',
    source: `${SOURCE}: max ÷ min ≤ 1.3 is fine`,
  },
  {
    all: greens,
    about: ofBackdrop,
    judge: ({ backdrop, leastLux, mostLux, evenness }, { rig }) =>
      evenness === null || evenness <= rig.lightRules.evenness + 1e-9
        ? null
        : {
            level: 'warn',
            title: `${backdrop.name} is uneven: ${figure(evenness, 2)} : 1`,
            says:
              `From ${lux(leastLux)} to ${lux(mostLux)} fall on ${backdrop.name}, ${figure(evenness, 2)} : 1; ` +
              `up to ${figure(rig.lightRules.evenness)} is fine. Move its lamps farther back or farther apart.`,
          },
    sums: evenSum,
    moves: true,
    fixes: (lit, measured) => {
      const { facingDeg } = lit.backdrop.at;
      return [0.3, 0.6, 0.9, 1.2].flatMap((byM) => {
        const commands = lampsOn(measured, lit).flatMap(({ id }) =>
          moveLamp(measured, id, facingDeg, byM),
        );
        return commands.length > 0
          ? [
              batchFix(
                `Move the lamps of ${lit.backdrop.name} ${figure(byM)} m farther back`,
                commands,
              ),
            ]
          : [];
      });
    },
  },
);

/** Nearer than this to a green screen, its colour comes back on hair and shoulders. @unit m @source handbook 6-light */
const NEAR_M = 1.5;

interface Before {
  readonly face: FaceLight;
  readonly lit: LitBackdrop;
  readonly farM: number;
}

/** Who stands before which green screen, and how far from it. */
const before = (measured: Measured): Before[] =>
  greens(measured).flatMap((lit) =>
    faces(measured).flatMap((face) => {
      const { at, widthM } = lit.backdrop;
      const [x, y] = looking(at.facingDeg);
      const [dx, dy] = [face.eyes.xM - at.xM, face.eyes.yM - at.yM];
      const farM = dx * x + dy * y;
      const aside = Math.abs(dx * y - dy * x);
      return farM > 0 && aside <= widthM / 2 ? [{ face, lit, farM }] : [];
    }),
  );

export const screenNear = eachLightRule<Before>(
  'light.screen-near',
  {
    looksFor: 'Somebody who stands too near to a green screen.',
    why: 'Green light comes back on hair and shoulders, and their shadow falls on the screen.',
    remedy: 'Move them at least 1.5 m in front of it.',
    source: `${SOURCE}: subject at least 1.5 m in front; spill of the screen onto the subject`,
  },
  {
    all: before,
    about: ({ face, lit }) => ({ ...ofPerson(face), backdropId: lit.id }),
    judge: ({ face, lit, farM }) =>
      farM >= NEAR_M - 1e-9
        ? null
        : {
            level: 'warn',
            title: `${face.name} is ${figure(farM, 2)} m from ${lit.backdrop.name}`,
            says:
              `${face.name} is ${figure(farM, 2)} m in front of ${lit.backdrop.name}, which sends green light ` +
              `back on hair and shoulders; ${NEAR_M} m is enough. Move ${figure(NEAR_M - farM, 2)} m forward.`,
          },
    sums: ({ farM }) => [
      sum('Before the screen', 'along the way it looks', [], farM, 'm', 'the plan'),
    ],
    moves: true,
    fixes: ({ face, lit, farM }) => {
      const { at } = face.person;
      if (!at) return [];
      const to = stepped(at, lit.backdrop.at.facingDeg, NEAR_M - farM + 0.02);
      return [
        batchFix(`Move ${face.name} ${figure(NEAR_M - farM, 2)} m forward`, [
          {
            type: 'changePerson',
            personId: face.personId,
            person: {
              at: {
                xM: Number(to.xM.toFixed(2)),
                yM: Number(to.yM.toFixed(2)),
                facingDeg: at.facingDeg,
              },
            },
          },
        ]),
      ];
    },
  },
);

/** A screen is lit like the face, up to so much more or less. @unit stops */
const LEVEL_STOPS = 1;

const screenOver = ({ face, lit }: Before): number | null =>
  face.lux > 0 && lit.meanLux > 0 ? Math.log2(lit.meanLux / face.lux) : null;

export const screenLevel = eachLightRule<Before>(
  'light.screen-level',
  {
    looksFor: 'A green screen that is much brighter or darker than the face before it.',
    why: 'Too bright it spills, too dark it crawls with noise: either way the edges go.',
    remedy: 'Light it like the face, within a stop.',
    source: `${SOURCE}: green screen; typical practice is the face’s own level`,
  },
  {
    all: before,
    about: ({ face, lit }) => ({ kind: 'backdrop', backdropId: lit.id, personId: face.personId }),
    judge: (thing) => {
      const over = screenOver(thing);
      const { face, lit } = thing;
      return over === null || Math.abs(over) <= LEVEL_STOPS
        ? null
        : {
            level: 'note',
            title: `${lit.backdrop.name} is ${stops(over)} ${over < 0 ? 'under' : 'over'} the face`,
            says:
              `${lux(lit.meanLux)} fall on ${lit.backdrop.name} and ${lux(face.lux)} on the face of ` +
              `${face.name}: ${stops(over)} apart, and one is enough. Turn its lamps ${over < 0 ? 'up' : 'down'}.`,
          };
    },
    sums: (thing) => [
      sum(
        'Screen over face',
        'log2(mean on the screen ÷ on the face)',
        [input('screen', thing.lit.meanLux, 'lux'), input('face', thing.face.lux, 'lux')],
        screenOver(thing),
        'stops',
      ),
    ],
    fixes: (thing, measured) => {
      const over = screenOver(thing);
      const commands =
        over === null
          ? []
          : lampsOn(measured, thing.lit).flatMap(({ id, share }) =>
              share * 2 ** -over <= 1 ? dimTo(measured, id, 100 * share * 2 ** -over) : [],
            );
      return commands.length > 0
        ? [batchFix(`Light ${thing.lit.backdrop.name} like the face`, commands)]
        : [];
    },
  },
);

/** A lamp that is not meant for the screen may give so much of its light. */
const STRAY_SHARE = 0.25;

interface Stray {
  readonly lit: LitBackdrop;
  readonly id: string;
  readonly name: string;
  readonly share: number;
}

const strays = (measured: Measured): Stray[] =>
  greens(measured).flatMap((lit) =>
    lightSources(measured).flatMap((source) => {
      const aim = source.lamp?.aim.at;
      if (source.of !== 'lamp' || (aim !== 'person' && aim !== 'point')) return [];
      const given =
        lit.points.reduce(
          (total, { full }) => total + (full.get(source.id) ?? 0) * source.share,
          0,
        ) / lit.points.length;
      const share = lit.meanLux > 0 ? given / lit.meanLux : 0;
      return share > STRAY_SHARE
        ? [{ lit, id: source.id, name: nameOfThing(measured, source), share }]
        : [];
    }),
  );

export const stray = eachLightRule<Stray>(
  'light.screen-stray',
  {
    looksFor: 'A light for a face that also lights the green screen.',
    why: 'Shadows of heads fall on the screen and move with them.',
    remedy: 'Turn it away, or put barn doors or a grid on it.',
    source: `${SOURCE}: spill of each fixture onto the background`,
  },
  {
    all: strays,
    about: ({ lit, id }) => ({ kind: 'backdrop', backdropId: lit.id, source: id }),
    judge: ({ lit, name, share }) => ({
      level: 'note',
      title: `${name} lights ${lit.backdrop.name} as well`,
      says:
        `${figure(100 * share, 0)} % of the light on ${lit.backdrop.name} comes from ${name}, which is meant ` +
        'for somebody: their shadow falls on the screen. Turn it away or put a grid on it.',
    }),
    sums: ({ share }) => [sum('Its share', 'mean of it ÷ mean of all', [], 100 * share, '%')],
    fixes: ({ id, name }, measured) => {
      const source = lightSources(measured).find((one) => one.id === id);
      return source?.figures?.takesModifiers && !source.lamp?.modifier
        ? [
            batchFix(`Put a grid on ${name}`, [
              hangLamp(id, { modifier: usualModifier('Grid, 40°') }),
            ]),
          ]
        : [];
    },
  },
);
