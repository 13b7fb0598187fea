import deepEqual from 'fast-deep-equal';
import { nameOfThing } from '../../passes/names';
import { lampSources, type LightSource } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { entry, inOrder, type Lamp, type Look } from '../../rig';
import { THE_RIG } from '../about';
import { eachLightRule, lightRule } from '../rule-of';
import { ofLamp } from './lit';
import { SOURCE, sum } from './words';

type Answers = NonNullable<Lamp['answers']>;

const wantsOnePlace = ({ rig }: Measured): boolean => rig.houseRules.lightControl === 'one place';

/** Lamps that one would want to reach: what burns in the picture anyway is left alone. */
const reached = (measured: Measured): LightSource[] =>
  lampSources(measured).filter(({ figures }) => figures?.is !== 'practical');

/** What most lamps answer to. @returns null where no lamp answers to anything but its knob */
export const commonAnswer = (measured: Measured): Answers | null => {
  const counts = new Map<string, { answers: Answers; count: number }>();
  for (const { lamp } of reached(measured)) {
    const answers = lamp?.answers;
    if (!answers || answers.by === 'knob') continue;
    const key = `${answers.by} ${answers.name}`;
    counts.set(key, { answers, count: (counts.get(key)?.count ?? 0) + 1 });
  }
  return (
    [...counts.values()].reduce<{ answers: Answers; count: number } | null>(
      (most, one) => (most === null || one.count > most.count ? one : most),
      null,
    )?.answers ?? null
  );
};

export const controlApart = eachLightRule<LightSource>(
  'light.control-apart',
  {
    looksFor:
      'A lamp that answers to something else than the others, where the house sets all from one place.',
    why: 'A look is called up, and one lamp stays as it was.',
    remedy: 'Let it answer to the same app, remote or desk, or take a lamp that can.',
    source: `${SOURCE}: whether all can be driven from one place`,
  },
  {
    all: reached,
    about: ofLamp,
    houseRule: 'lightControl',
    judge: (source, measured) => {
      const { lamp } = source;
      const name = nameOfThing(measured, source);
      const common = commonAnswer(measured);
      const answers = lamp?.answers ?? null;
      if (!wantsOnePlace(measured) || answers === null) return null;
      if (deepEqual(answers, common)) return null;
      return {
        level: 'warn',
        title: `${name} answers to ${answers.name}`,
        says:
          `${name} is set by ${answers.by === 'knob' ? 'its knob' : answers.name}` +
          (common ? `, the others by ${common.name}` : '') +
          ': they cannot all be set from one place. Let it answer to the same, or take a lamp that can.',
      };
    },
    sums: (_lamp, measured) => {
      const common = commonAnswer(measured);
      const same = reached(measured).filter(({ lamp }) =>
        deepEqual(lamp?.answers ?? null, common),
      ).length;
      return [
        sum(
          'Lamps set from one place',
          'counted',
          [],
          same,
          `of ${reached(measured).length}`,
          'the rig',
        ),
      ];
    },
    fixes: (source, measured) => {
      const { id, figures } = source;
      const common = commonAnswer(measured);
      return common && figures?.control.includes(common.by)
        ? [
            {
              label: `Let ${nameOfThing(measured, source)} answer to ${common.name}`,
              command: { type: 'hangLamp', deviceId: id, lamp: { answers: common } },
            },
          ]
        : [];
    },
  },
);

const unsaid = (measured: Measured): LightSource[] =>
  reached(measured).filter(({ lamp }) => (lamp?.answers ?? null) === null);

export const controlUnsaid = lightRule(
  'light.control-unsaid',
  {
    looksFor:
      'Lamps of which nobody has said what they answer to, where the house sets all from one place.',
    why: 'Nobody knows whether a look can be called up.',
    remedy: 'Say which app, remote or address each answers to.',
    source: `${SOURCE}: which app, remote or address each light answers to`,
  },
  (measured) => {
    const lamps = unsaid(measured);
    return wantsOnePlace(measured) && lamps.length > 0
      ? [
          {
            about: THE_RIG,
            level: 'note',
            houseRule: 'lightControl',
            title: `${lamps.length} ${lamps.length === 1 ? 'lamp' : 'lamps'} nobody has said the control of`,
            says:
              `Nobody has said what ${lamps.map((lamp) => nameOfThing(measured, lamp)).join(', ')} ` +
              `${lamps.length === 1 ? 'answers' : 'answer'} to, and the house sets all lamps from one place.`,
          },
        ]
      : [];
  },
  {
    fixes: (measured) => {
      const common = commonAnswer(measured);
      const can = unsaid(measured).filter(
        ({ figures }) => common && figures?.control.includes(common.by),
      );
      return common && can.length === unsaid(measured).length
        ? [
            {
              label: `Let them all answer to ${common.name}`,
              command: {
                type: 'batch',
                label: `Let every lamp answer to ${common.name}`,
                commands: can.map(({ id }) => ({
                  type: 'hangLamp',
                  deviceId: id,
                  lamp: { answers: common },
                })),
              },
            },
          ]
        : [];
    },
  },
);

interface KeptLook {
  readonly id: string;
  readonly look: Look;
  readonly missing: readonly LightSource[];
}

export const lookShort = eachLightRule<KeptLook>(
  'light.look-short',
  {
    looksFor: 'A look that says nothing of a lamp that came later.',
    why: 'It is called up, and that lamp stays as the last look left it.',
    remedy: 'Call the look up, set the lamp, and keep it again.',
    source: `${SOURCE}: levels stored per set, recalled by one control`,
  },
  {
    all: (measured) =>
      inOrder(measured.rig.looks).map(([id, look]) => ({
        id,
        look,
        missing: lampSources(measured).filter((lamp) => !Object.hasOwn(look.levels, lamp.id)),
      })),
    about: ({ id }) => ({ kind: 'look', lookId: id }),
    judge: ({ look, missing }, measured) =>
      missing.length === 0
        ? null
        : {
            level: 'note',
            title: `${look.name} leaves ${missing.length === 1 ? 'a lamp' : `${missing.length} lamps`} as they are`,
            says:
              `The look ${look.name} says nothing of ` +
              `${missing.map((lamp) => nameOfThing(measured, lamp)).join(', ')}: it stays as ` +
              'the last look left it. Call it up, set the lamp, and keep it again.',
          },
    sums: ({ look, missing }) => [
      sum(
        'Lamps it says nothing of',
        'counted',
        [],
        missing.length,
        `of ${missing.length + Object.keys(look.levels).length}`,
        'the rig',
      ),
    ],
  },
);

/** Lamps that stand otherwise in one cued look than in another, and that only their knob sets. */
const byHand = (measured: Measured): LightSource[] => {
  const cued = [...new Set(Object.values(measured.rig.cues))].flatMap(
    (id) => entry(measured.rig.looks, id) ?? [],
  );
  return reached(measured).filter(({ id, lamp, figures }) => {
    const levels = cued.flatMap((look) => entry(look.levels, id) ?? []);
    const changes =
      new Set(levels.map((level) => `${level.dimmer} ${level.kelvin ?? ''}`)).size > 1;
    const isByKnob =
      lamp?.answers?.by === 'knob' ||
      ((lamp?.answers ?? null) === null &&
        figures?.control.every((way) => way === 'knob') === true);
    return changes && isByKnob;
  });
};

export const cueByHand = eachLightRule<LightSource>(
  'light.cue-by-hand',
  {
    looksFor: 'A look that is called up with a scene, and a lamp in it that only a hand can set.',
    why: 'Nobody walks into the picture to turn a knob.',
    remedy: 'Set it by an app, a remote or an address, or leave it alike in every look.',
    source: `${SOURCE}: recalled by one control`,
  },
  {
    all: byHand,
    about: ofLamp,
    judge: (source, measured) => ({
      level: 'warn',
      title: `${nameOfThing(measured, source)} is set by hand between scenes`,
      says:
        `${nameOfThing(measured, source)} changes between looks that scenes call up, and only its ` +
        `knob sets it. Let it answer to an ` +
        'app, a remote or an address, or leave it alike in every look.',
    }),
    sums: ({ id }, measured) =>
      [...new Set(Object.values(measured.rig.cues))].flatMap((lookId) => {
        const look = entry(measured.rig.looks, lookId);
        const level = look && entry(look.levels, id);
        return look && level
          ? [sum(look.name, 'as it was kept', [], level.dimmer, '%', 'the rig')]
          : [];
      }),
  },
);
