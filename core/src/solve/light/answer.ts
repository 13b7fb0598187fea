import { nameOfThing } from '../../passes/names';
import { dimTo } from '../../edits/light';
import { withShares } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import type { SimpleCommand } from '../../rig';
import { type Limit, type LimitOf, limitsOf, missedBy } from './limits';
import { bestLevels, type Chosen } from './programme';
import { type LightTask, type LightWish, taskOf } from './wish';

/** What a wish for light comes to: dimmers, or what stands against it. */

/** A limit that is not met, by whom or what it is about. */
export interface Unmet {
  readonly about: LimitOf;
  readonly subjectId: string;
  /** What that is called */
  readonly subject: string;
  /** By how much it is missed, as a share of what it stands at */
  readonly by: number;
  readonly says: string;
}

export interface LightAnswer {
  readonly isMet: boolean;
  readonly levels: readonly {
    readonly id: string;
    readonly name: string;
    /** @unit % */
    readonly now: number;
    readonly to: number;
  }[];
  /** At these dimmers. @unit W */
  readonly watts: number;
  readonly on: number;
  readonly unmet: readonly Unmet[];
  /** Lamps that would have to give more than they can. @unit % */
  readonly over: readonly {
    readonly id: string;
    readonly name: string;
    readonly percent: number;
    readonly says: string;
  }[];
  /** The name of the key of each face, by person */
  readonly keys: Readonly<Record<string, string>>;
  readonly commands: readonly SimpleCommand[];
  /** What it comes to, without what is not met */
  readonly headline: string;
  readonly says: string;
}

/** Less than this no limit counts as missed: it is what rounding to tenths of a percent may do. */
export const MISS = 0.01;
/** Looking at what would be needed, a lamp may give so many times what it can. */
const FAR = 20;

const ratioText = (ratio: number | null): string =>
  ratio === null ? 'without fill' : `${figure(ratio)} : 1`;

/** What a missed limit comes to, in figures. */
const figures = (
  task: LightTask,
  { about, subjectId }: Limit,
  shares: Readonly<Record<string, number>>,
): string => {
  const wanted = task.faces.find(({ id }) => id === subjectId);
  const face = wanted && withShares(wanted.face, shares);
  switch (about) {
    case 'exposure':
      return `${figure(face?.lux ?? 0, 0)} of ${figure(wanted?.lux ?? 0, 0)} lux on the face`;
    case 'ratio': {
      const [least, most] = wanted?.ratio ?? [1, 1];
      return (
        `light and shade ${ratioText(face?.ratio ?? null)}, ` +
        `${figure(least)} to ${figure(most)} asked for`
      );
    }
    case 'hair':
      return `light on the hair ${figure(face?.hairStops ?? 0)} stops over the key`;
    case 'background':
      return 'the background is as bright as the face, or brighter';
    case 'screen':
      return 'unevenly lit, or not like the face';
    case 'board':
      return 'more light than it may have';
  }
};

/** What is missed, once for each subject and matter. */
export const unmetOf = (
  task: LightTask,
  limits: readonly Limit[],
  shares: Readonly<Record<string, number>>,
): Unmet[] => {
  const all = withDarkest(task, shares);
  const worst = new Map<string, { limit: Limit; by: number }>();
  for (const limit of limits) {
    const by = missedBy(limit, all);
    const key = `${limit.about} ${limit.subjectId}`;
    if (by > MISS && by > (worst.get(key)?.by ?? 0)) worst.set(key, { limit, by });
  }
  return [...worst.values()].map(({ limit, by }) => ({
    about: limit.about,
    subjectId: limit.subjectId,
    subject: limit.subject,
    by,
    says: `${limit.subject}: ${figures(task, limit, shares)}`,
  }));
};

/** The darkest point of each screen is a figure of the programme, and not a lamp. */
const withDarkest = (
  task: LightTask,
  shares: Readonly<Record<string, number>>,
): Record<string, number> => ({
  ...shares,
  ...Object.fromEntries(
    task.screens.map(({ id, points }) => [
      `darkest of ${id}`,
      Math.min(
        ...points.map(({ full, lux }) =>
          task.lamps.reduce(
            (sum, lamp) =>
              sum + ((full.get(lamp.id) ?? 0) + lamp.room) * ((shares[lamp.id] ?? 0) - lamp.share),
            lux,
          ),
        ),
      ),
    ]),
  ),
});

const wattsOf = ({ lamps }: LightTask, shares: Readonly<Record<string, number>>): number =>
  lamps.reduce((sum, { id, watts }) => sum + watts * (shares[id] ?? 0), 0);

const headlineOf = (
  task: LightTask,
  { levels: { shares } }: Chosen,
  unmet: readonly Unmet[],
): string => {
  const on = task.lamps.filter(({ id }) => (shares[id] ?? 0) > 0).length;
  const sums = `${on} ${on === 1 ? 'lamp' : 'lamps'} on, ${figure(wattsOf(task, shares), 0)} W`;
  return unmet.length === 0
    ? `Everything asked for is met: ${sums}.`
    : `Not everything can be met with these lamps where they stand. As near as it comes: ${sums}.`;
};

const missedText = (unmet: readonly Unmet[], over: LightAnswer['over']): string =>
  unmet.length === 0
    ? ''
    : ` ${[unmet.map(({ says }) => says).join('; '), ...over.map(({ says }) => says)].join('. ')}.`;

/** The answer to a task; a task without lamps or faces has none. */
export const answerTo = (measured: Measured, task: LightTask): LightAnswer | null => {
  if (task.faces.length === 0 || task.lamps.length === 0) return null;
  const met = bestLevels(task);
  const chosen = met ?? bestLevels(task, { most: 1, isNear: true });
  if (!chosen) return null;
  const { shares } = chosen.levels;
  const unmet = met ? [] : unmetOf(task, chosen.limits, shares);
  const headline = headlineOf(task, chosen, unmet);
  const beyond = met ? null : bestLevels(task, { most: FAR, isQuick: true });
  const over = task.lamps.flatMap(({ id, name }) => {
    const percent = 100 * (beyond?.levels.shares[id] ?? 0);
    const says = `${name} would have to give ${figure(percent, 0)} %`;
    return percent > 100.5 ? [{ id, name, percent, says }] : [];
  });
  return {
    isMet: unmet.length === 0,
    levels: task.lamps.map(({ id, name, share }) => ({
      id,
      name,
      now: 100 * share,
      to: Math.round(1000 * (shares[id] ?? 0)) / 10,
    })),
    watts: wattsOf(task, shares),
    on: task.lamps.filter(({ id }) => (shares[id] ?? 0) > 0).length,
    unmet,
    over,
    keys: Object.fromEntries(
      task.faces.map(({ face }, index) => {
        const key = chosen.keys[index]?.source;
        return [face.personId, key ? nameOfThing(measured, key) : ''];
      }),
    ),
    commands: task.lamps.flatMap(({ id }) => dimTo(measured, id, 100 * (shares[id] ?? 0))),
    headline,
    says: headline + missedText(unmet, over),
  };
};

/** Sets the lamps as somebody wishes. @returns null where there is no lamp, or nobody to light */
export const setLight = (measured: Measured, wish: LightWish): LightAnswer | null =>
  answerTo(measured, taskOf(measured, wish));

/** What of a wish the rig misses as it is set now: for whoever wants to know that an answer holds. */
export const missedNow = (measured: Measured, wish: LightWish): Unmet[] => {
  const task = taskOf(measured, wish);
  const shares = Object.fromEntries(task.lamps.map(({ id, share }) => [id, share]));
  const keys = task.faces.flatMap(({ face }) => face.key ?? []);
  return keys.length === task.faces.length
    ? unmetOf(task, limitsOf(task, keys), shares)
    : task.faces.map(({ id, face }) => ({
        about: 'exposure',
        subjectId: id,
        subject: face.name,
        by: 1,
        says: `${face.name} is in the dark`,
      }));
};
