import { nameOfThing } from '../../passes/names';
import { classById } from '../../catalogue';
import { bodyOf } from '../../catalogue/bodies';
import type { Progress } from '../../edits/gain/set';
import { dimTo, hangLamp, moveLamp } from '../../edits/light';
import { lampSources, type LightSource, movedTo, withShares } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { cross, fromTo, type InRoom, rightOf, stepped, unit } from '../../passes/place';
import { figure } from '../../passes/sum';
import {
  BARE_LAMP,
  freeId,
  type Model,
  type SimpleCommand,
  usualModifier,
  usualSupport,
} from '../../rig';
import { advise, type FaceFigures, type LightOption, weigh } from './advice';
import { type Unmet, unmetOf } from './answer';
import { whyNot } from './may-stand';
import { bestLevels } from './programme';
import { withLamp } from './variants';
import { type LightTask, type LightWish, taskOf } from './wish';

/** What to buy, or that nothing is to be bought: lamps and places are tried, and what each changes is told. */

export interface LightAdvice {
  readonly now: { readonly faces: readonly FaceFigures[]; readonly unmet: readonly Unmet[] };
  /** Best first of each kind, cheapest kind first */
  readonly options: readonly LightOption[];
  readonly says: string;
}

/** What is offered: a class, what it wears, and what it is for. */
const OFFERS = [
  ['light-panel-small', null],
  ['light-panel', 'Diffuser'],
  ['light-cob-60', 'Dome, 0.6 m'],
  ['light-cob-120', 'Dome, 0.9 m'],
  ['light-panel-large', 'Diffuser'],
  ['light-cob-300', 'Dome, 0.9 m'],
] as const;

/** Where lamps are tried about a face: aside of where it looks, and how far. */
const ASIDE_DEG = [-55, -35, 35, 55, 150, -150] as const;
const FAR_M = [1.2, 1.8] as const;
/** So far above the eyes. @unit degrees */
const ABOVE_DEG = 25;

const figuresOf = (task: LightTask, shares: Readonly<Record<string, number>>): FaceFigures[] =>
  task.faces.map(({ face }) => {
    const { name, lux, ratio, hairStops } = withShares(face, shares);
    return { name, lux, ratio, hairStops };
  });

const optionOf = (
  measured: Measured,
  is: LightOption['is'],
  label: string,
  price: number,
  task: LightTask,
  commandsAt: (shares: Readonly<Record<string, number>>) => readonly SimpleCommand[],
): LightOption | null => {
  const near = bestLevels(task, { most: 1, isNear: true });
  if (!near) return null;
  const { shares } = near.levels;
  return {
    is,
    label,
    price,
    faces: figuresOf(task, shares),
    unmet: unmetOf(task, near.limits, shares),
    commands: [
      ...commandsAt(shares),
      ...task.lamps.flatMap(({ id }) => dimTo(measured, id, 100 * (shares[id] ?? 0))),
    ],
  };
};

const WAYS = 12;
const CARRIED_M = [0.3, 0.6, 0.9] as const;

const moves = (measured: Measured, task: LightTask): LightOption[] =>
  lampSources(measured).flatMap((source) =>
    task.lamps.some(({ id }) => id === source.id)
      ? CARRIED_M.flatMap((byM) =>
          Array.from({ length: WAYS }, (_, way) => (360 * way) / WAYS).flatMap((directionDeg) => {
            const to = { ...stepped(source.at, directionDeg, byM), zM: source.at.zM };
            const moved = movedTo(measured, source, to);
            const commands = moveLamp(measured, source.id, directionDeg, byM);
            if (commands.length === 0 || whyNot(measured, moved)) return [];
            return (
              optionOf(
                measured,
                'move',
                `Move ${nameOfThing(measured, source)} ${figure(byM)} m, to ${figure(directionDeg, 0)}° on the plan`,
                0,
                withLamp(measured, task, moved),
                () => commands,
              ) ?? []
            );
          }),
        )
      : [],
  );

const newSource = (
  measured: Measured,
  id: string,
  model: Model,
  wears: string | null,
  at: InRoom,
  eyes: InRoom,
): LightSource | null => {
  const { light } = model;
  if (!light) return null;
  const modifier = wears === null ? null : usualModifier(wears);
  const axis = unit(fromTo(at, eyes));
  const right = rightOf(axis);
  return {
    id,
    of: 'lamp',
    at,
    axis,
    right,
    up: cross(right, axis),
    luxAt1m: light.luxAt1m * (modifier?.transmission ?? 1),
    beamDeg: modifier?.beamDeg ?? light.beamDeg,
    widthM: modifier?.widthM ?? light.widthM,
    heightM: modifier?.heightM ?? light.heightM,
    share: 0,
    kelvin: measured.rig.lightRules.whiteK,
    watts: bodyOf(model)?.heatW ?? 0,
    beam: null,
    lamp: { ...BARE_LAMP, modifier },
    figures: light,
  };
};

const STAND = 'Stand, light';
const STAND_PRICE = 35;

/** What puts a new lamp there, on a stand of its own. */
const putThere = (
  { rig }: Measured,
  source: LightSource,
  model: Model,
  personId: string,
  share: number,
): SimpleCommand[] => {
  const supportId = freeId('lamp-stand', rig.supports);
  const { figures, name } = usualSupport(STAND);
  const { xM, yM, zM } = source.at;
  const cm = (metres: number): number => Number(metres.toFixed(2));
  const facingDeg = Number(
    ((Math.atan2(source.axis[0], source.axis[1]) * 180) / Math.PI).toFixed(0),
  );
  const bodyM = bodyOf(model)?.heightM ?? 0;
  return [
    {
      type: 'addSupport',
      supportId,
      support: {
        name,
        at: { xM: cm(xM), yM: cm(yM), facingDeg },
        onId: null,
        figures:
          figures.is === 'stand'
            ? { ...figures, heightM: cm(Math.max(0.5, zM - bodyM / 2)) }
            : figures,
      },
    },
    {
      type: 'addDevice',
      deviceId: source.id,
      name: model.name,
      model,
      settings: model.light ? { [model.light.dimmerControl]: Math.round(1000 * share) / 10 } : {},
      personId: null,
      placeId: null,
    },
    {
      type: 'standDevice',
      deviceId: source.id,
      on: { supportId, xM: 0, yM: 0, turnDeg: 0, upM: 0 },
    },
    hangLamp(source.id, {
      aim: { at: 'person', personId },
      modifier: source.lamp?.modifier ?? null,
    }),
  ];
};

const purchases = (
  measured: Measured,
  task: LightTask,
  missing: ReadonlySet<string>,
): LightOption[] => {
  const id = freeId('second-lamp', measured.rig.devices);
  const ceiling = measured.rig.shell?.heightM ?? 3;
  return task.faces
    .filter(({ id: faceId }) => missing.size === 0 || missing.has(faceId))
    .slice(0, 2)
    .flatMap(({ face }) =>
      OFFERS.flatMap(([classId, wears]) =>
        ASIDE_DEG.flatMap((aside) =>
          FAR_M.flatMap((farM) => {
            const model = classById(classId);
            const facing = face.person.at?.facingDeg ?? 0;
            const rise = farM * Math.tan((ABOVE_DEG * Math.PI) / 180);
            const at = {
              ...stepped(face.eyes, facing + aside, farM),
              zM: Math.min(ceiling - 0.4, face.eyes.zM + rise),
            };
            const source = newSource(measured, id, model, wears, at, face.eyes);
            if (!source || whyNot(measured, source)) return [];
            const other = withLamp(measured, task, source, {
              id,
              name: model.name,
              watts: source.watts,
              share: 0,
              least: (source.figures?.leastPercent ?? 0) / 100,
            });
            return (
              optionOf(
                measured,
                'buy',
                `${model.name}${wears === null ? '' : `, ${wears.toLowerCase()}`}, ${figure(farM)} m from ` +
                  `${face.name}, ${Math.abs(aside)}° to the ${aside < 0 ? 'left' : 'right'}`,
                (model.typicalPrice ?? 0) + STAND_PRICE,
                other,
                (shares) => putThere(measured, source, model, face.personId, shares[id] ?? 1),
              ) ?? []
            );
          }),
        ),
      ),
    );
};

/** So many of each kind are told. */
const MOST = 3;

/** What hardly differs is told apart by its price. */
const rank = ({ unmet }: LightOption): number => Math.round(4 * weigh(unmet));

const best = (options: readonly LightOption[]): LightOption[] =>
  [...options]
    .sort((a, b) => rank(a) - rank(b) || a.price - b.price || weigh(a.unmet) - weigh(b.unmet))
    .slice(0, MOST);

/**
 * Whether a wish needs another lamp: as it is, with dimmers set, with a lamp carried, and with each lamp
 * that could be bought at each likely place.
 * @returns null where there is nobody to light
 */
export const whatToBuy = (
  measured: Measured,
  wish: LightWish,
  onProgress?: Progress,
): LightAdvice | null => {
  const task = taskOf(measured, wish);
  if (task.faces.length === 0) return null;
  const shares = Object.fromEntries(task.lamps.map(({ id, share }) => [id, share]));
  const keys = task.faces.flatMap(({ face }) => face.key ?? []);
  const near = bestLevels(task, { most: 1, isNear: true });
  const now = keys.length === task.faces.length && near ? unmetOf(task, near.limits, shares) : [];
  onProgress?.(10, 100);
  const set =
    task.lamps.length > 0 ? optionOf(measured, 'set', 'Set the dimmers', 0, task, () => []) : null;
  const moved = best(moves(measured, task));
  onProgress?.(40, 100);
  const missing = new Set((set?.unmet ?? now).map(({ subjectId }) => subjectId));
  const bought = best(purchases(measured, task, missing));
  onProgress?.(100, 100);
  return {
    now: { faces: figuresOf(task, shares), unmet: now },
    options: [...(set ? [set] : []), ...moved, ...bought],
    says: advise(now, task.lamps.length, set ?? undefined, moved[0], bought[0]),
  };
};
