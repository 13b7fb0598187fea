import { nameOfThing } from '../../passes/names';
import {
  type Clash,
  clashes,
  ELBOW_SHARE,
  gapM,
  type OnDesk,
  onDesks,
  outlineOf,
  overhangM,
  peopleAt,
  type Solid,
} from '../../passes/place';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { entry, type Person, type SimpleCommand, type Standing } from '../../rig';
import { batchFix, eachStandsRule } from '../rule-of';
import { changeFigures } from './supports';

/** @param m metres */
const centimetres = (m: number): string => `${figure(100 * m, 0)} cm`;

/** Steps and turns in which a free place on a desk is looked for. @unit m, degrees */
const STEP_M = 0.05;

/** The nearest place on the desk where a thing stands free of everything else. */
const freePlace = (desk: OnDesk, thing: Solid, measured: Measured): SimpleCommand[] => {
  const on = entry(measured.rig.devices, thing.id)?.on;
  const { at } = desk.support;
  if (!on || !at) return [];
  const others = desk.things.filter(({ id }) => id !== thing.id);
  const turn = (at.facingDeg * Math.PI) / 180;
  let best: { readonly on: Standing; readonly far: number } | null = null;
  const [half, deep] = [desk.desk.widthM / 2, desk.desk.depthM / 2];
  for (let xM = -half; xM <= half; xM += STEP_M)
    for (let yM = -deep; yM <= deep; yM += STEP_M) {
      const moved: Solid = {
        ...thing,
        spot: {
          ...thing.spot,
          xM: at.xM + xM * Math.cos(turn) + yM * Math.sin(turn),
          yM: at.yM - xM * Math.sin(turn) + yM * Math.cos(turn),
        },
      };
      const far = Math.hypot(xM - on.xM, yM - on.yM);
      if ((best && far >= best.far) || overhangM(desk, moved) > 0) continue;
      const isFree = others.every((other) => gapM(outlineOf(moved), outlineOf(other)) > 0);
      if (isFree)
        best = { far, on: { ...on, xM: Number(xM.toFixed(2)), yM: Number(yM.toFixed(2)) } };
    }
  return best ? [{ type: 'standDevice', deviceId: thing.id, on: best.on }] : [];
};

export const overlap = eachStandsRule<Clash>(
  'stands.overlap',
  {
    looksFor: 'Two things on a desk that stand in one another.',
    why: 'Only one of them fits there; the other ends up wherever there is room on the day.',
    remedy: 'Move one of them.',
    source: 'the plan; typical sizes of the classes',
  },
  {
    all: clashes,
    about: ({ desk, a, b }) => ({
      kind: 'support',
      supportId: desk.id,
      deviceId: a.id,
      source: b.id,
    }),
    judge: ({ desk, a, b, byM }, measured) => ({
      level: 'warn',
      title: `${nameOfThing(measured, a)} and ${nameOfThing(measured, b)} stand in one another`,
      says:
        `On ${desk.support.name}, ${nameOfThing(measured, a)} and ${nameOfThing(measured, b)} ` +
        `overlap by ${centimetres(byM)}. Only one ` +
        'of them fits there. Move one.',
    }),
    moves: true,
    fixes: ({ desk, a, b }, measured) =>
      [b, a].flatMap((thing) => {
        const commands = freePlace(desk, thing, measured);
        return commands.length > 0
          ? [batchFix(`Move ${nameOfThing(measured, thing)} to the nearest free place`, commands)]
          : [];
      }),
  },
);

interface Over {
  readonly desk: OnDesk;
  readonly thing: Solid;
  readonly byM: number;
}

/** The rubber foot of a thing may stand so far out before it matters. @unit m */
const OVER_M = 0.02;

export const overhang = eachStandsRule<Over>(
  'stands.overhang',
  {
    looksFor: 'Something that hangs over the edge of the desk it stands on.',
    why: 'It is knocked off by the first elbow.',
    remedy: 'Move it in, or take something else off.',
    source: 'the plan; typical sizes of the classes',
  },
  {
    all: (measured) =>
      onDesks(measured).flatMap((desk) =>
        desk.things.map((thing) => ({ desk, thing, byM: overhangM(desk, thing) })),
      ),
    about: ({ desk, thing }) => ({ kind: 'support', supportId: desk.id, deviceId: thing.id }),
    judge: ({ desk, thing, byM }, measured) =>
      byM <= OVER_M
        ? null
        : {
            level: byM > Math.min(thing.widthM, thing.depthM) / 2 ? 'stop' : 'warn',
            title: `${nameOfThing(measured, thing)} hangs ${centimetres(byM)} over the edge`,
            says:
              `${nameOfThing(measured, thing)} hangs ${centimetres(byM)} over the edge of ${desk.support.name}. ` +
              'Move it in, or take something else off.',
          },
    moves: true,
    fixes: ({ desk, thing }, measured) => {
      const commands = freePlace(desk, thing, measured);
      return commands.length > 0
        ? [batchFix(`Move ${nameOfThing(measured, thing)} to the nearest free place`, commands)]
        : [];
    },
  },
);

/** A person and a desk that they use. */
interface AtDesk {
  readonly desk: OnDesk;
  readonly personId: string;
  readonly person: Person;
  /** Where their elbows are. @unit m */
  readonly elbowM: number;
}

const atDesks = (measured: Measured): readonly AtDesk[] =>
  onDesks(measured).flatMap((desk) =>
    peopleAt(measured, desk).flatMap((personId) => {
      const person = entry(measured.rig.people, personId);
      if (!person || person.statureM === null) return [];
      const share = person.posture === 'sits' ? ELBOW_SHARE.sits : ELBOW_SHARE.stands;
      return [{ desk, personId, person, elbowM: person.statureM * share }];
    }),
  );

/** A top this far from the elbow is still worked at without raising the shoulders. @unit m */
const ELBOW_NEAR_M = 0.08;

export const deskHeight = eachStandsRule<AtDesk>(
  'stands.desk-height',
  {
    looksFor: 'A desk that does not go where the elbows of somebody who uses it are.',
    why: 'Shoulders go up and are heard: people who sit badly speak badly.',
    remedy: 'Set the desk to their elbow, or raise the seat and put a rest under the feet.',
    source: 'handbook 5-plan: desk top at the elbow, 0.39 of stature sitting, 0.63 standing',
  },
  {
    all: atDesks,
    about: ({ desk, personId }) => ({ kind: 'support', supportId: desk.id, personId }),
    judge: ({ desk: { desk, support }, person, elbowM }) =>
      Math.abs(desk.topM - elbowM) <= ELBOW_NEAR_M
        ? null
        : {
            level: 'note',
            title:
              `${support.name} is ${centimetres(Math.abs(desk.topM - elbowM))} too ` +
              `${desk.topM > elbowM ? 'high' : 'low'} for ${person.name}`,
            says:
              `${person.name} is ${figure(person.statureM ?? 0, 2)} m tall and has the elbows at about ` +
              `${figure(elbowM, 2)} m; the top is at ${figure(desk.topM, 2)} m` +
              (desk.lowestM < desk.highestM
                ? ` and goes from ${figure(desk.lowestM, 2)} to ${figure(desk.highestM, 2)} m`
                : '') +
              '. Set the desk to the elbow, or raise the seat and put a rest under the feet.',
          },
    sums: ({ person, elbowM }) => [
      {
        label: `Elbows of ${person.name}`,
        formula: 'stature × share',
        inputs: [
          { name: 'stature', value: person.statureM ?? 'unknown', unit: 'm' },
          {
            name: 'share',
            value: person.posture === 'sits' ? ELBOW_SHARE.sits : ELBOW_SHARE.stands,
            unit: '',
          },
        ],
        result: elbowM,
        unit: 'm',
        source: 'handbook 5-plan, after Drillis and Contini; typical',
      },
    ],
    moves: true,
    fixes: ({ desk: { id, desk, support }, elbowM }) => {
      const topM = Number(Math.min(desk.highestM, Math.max(desk.lowestM, elbowM)).toFixed(2));
      return topM !== desk.topM && Math.abs(topM - elbowM) <= ELBOW_NEAR_M
        ? [
            batchFix(`Set ${support.name} to ${figure(topM, 2)} m`, [
              changeFigures(id, { ...desk, topM }),
            ]),
          ]
        : [];
    },
  },
);

/** A loudspeaker and a microphone on one desk, and how far apart. */
interface Neighbours {
  readonly desk: OnDesk;
  readonly source: Solid;
  readonly microphone: Solid;
  readonly byM: number;
}

const kindOf = (measured: Measured, { id }: Solid): string | undefined =>
  entry(measured.rig.devices, id)?.model.kind;

const pairs = (measured: Measured, kinds: readonly string[]): readonly Neighbours[] =>
  onDesks(measured).flatMap((desk) =>
    desk.things
      .filter((thing) => kinds.includes(kindOf(measured, thing) ?? ''))
      .flatMap((source) =>
        desk.things
          .filter((thing) => kindOf(measured, thing) === 'microphone')
          .map((microphone) => ({
            desk,
            source,
            microphone,
            byM: gapM(outlineOf(source), outlineOf(microphone)),
          })),
      ),
  );

/** Nearer than this a desk carries what shakes it into the foot of a microphone. @unit m */
const SHAKES_M = 0.5;
/** How much farther a thing is moved at a time. @unit m */
const AWAY_M = 0.5;

const awayFix = ({ source, microphone }: Neighbours, measured: Measured) => {
  const device = entry(measured.rig.devices, source.id);
  if (!device?.on) return [];
  const apart = Math.hypot(
    source.spot.xM - microphone.spot.xM,
    source.spot.yM - microphone.spot.yM,
  );
  const share = apart === 0 ? 1 : AWAY_M / apart;
  const at = {
    xM: Number((source.spot.xM + (source.spot.xM - microphone.spot.xM) * share).toFixed(2)),
    yM: Number((source.spot.yM + (source.spot.yM - microphone.spot.yM) * share).toFixed(2)),
    facingDeg: source.spot.facingDeg,
  };
  return [
    batchFix(
      `Take ${nameOfThing(measured, source)} off the desk and stand it by itself, on something soft`,
      [
        { type: 'placeDevice', deviceId: source.id, at, aim: device.aim },
        {
          type: 'raiseDevice',
          deviceId: source.id,
          heightM: Number(((source.fromM + source.toM) / 2).toFixed(2)),
        },
      ],
    ),
  ];
};

export const shakes = eachStandsRule<Neighbours>(
  'stands.shakes',
  {
    looksFor: 'A computer with a fan, or a loudspeaker, on the desk that a microphone stands on.',
    why: 'The desk carries it into the microphone’s foot, below what a gate or a filter takes out.',
    remedy:
      'Stand it off the desk or on something soft, or put the microphone on an arm with an elastic mount.',
    source: 'handbook 5-plan, desk',
  },
  {
    all: (measured) => pairs(measured, ['computer', 'loudspeaker']),
    about: ({ desk, source, microphone }) => ({
      kind: 'support',
      supportId: desk.id,
      deviceId: source.id,
      source: microphone.id,
    }),
    judge: ({ desk, source, microphone, byM }, measured) =>
      byM > SHAKES_M
        ? null
        : {
            level: 'note',
            title: `${nameOfThing(measured, source)} shakes the desk ${nameOfThing(measured, microphone)} stands on`,
            says:
              `${nameOfThing(measured, source)} stands ${centimetres(byM)} from ` +
              `${nameOfThing(measured, microphone)} on ` +
              `${desk.support.name}: the desk carries its hum and its blows into the microphone. Take ` +
              'it off the desk, or put the microphone on an arm.',
          },
    moves: true,
    fixes: awayFix,
  },
);
