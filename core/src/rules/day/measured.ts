import { changeOver } from '../../day/change-over';
import type { ChangeTask } from '../../day/change-task';
import type { Measured } from '../../passes/measure';
import { figure } from '../../passes/sum';
import { inOrder, type Rig } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, eachDayRule } from '../rule-of';

/** Minutes that the house measured, and who is there to carry. */

const SOURCE = 'handbook 7: estimates come from what was measured';

/** A measured task beside what it would be estimated at. */
interface Beside {
  readonly task: ChangeTask;
  readonly estimatedMin: number;
}

/** So many times as long, or as short, is no matter of practice. */
const FAR_TIMES = 4;
const FAR_MIN = 2;
/** Measured so often, a spread says something. */
const OFTEN = 3;
const SPREAD_TIMES = 3;

/** Every task of a set from everything put away, each once, with what it would take unmeasured. */
const measuredTasks = ({ rig }: Measured): readonly Beside[] => {
  if (Object.keys(rig.taskMinutes).length === 0) return [];
  const unmeasured: Rig = { ...rig, taskMinutes: {} };
  const found = new Map<string, Beside>();
  for (const [setId] of inOrder(rig.sets)) {
    const estimates = new Map(changeOver(unmeasured, null, setId).map((task) => [task.id, task]));
    for (const task of changeOver(rig, null, setId)) {
      const estimatedMin = estimates.get(task.id)?.minutes;
      if (task.spread !== null && estimatedMin !== undefined && !found.has(task.id))
        found.set(task.id, { task, estimatedMin });
    }
  }
  return [...found.values()];
};

const isFar = ({ task, estimatedMin }: Beside): boolean =>
  Math.abs(task.minutes - estimatedMin) >= FAR_MIN &&
  (task.minutes > FAR_TIMES * estimatedMin || task.minutes * FAR_TIMES < estimatedMin);

const ifAny = <T>(all: readonly T[]): readonly (readonly T[])[] => (all.length > 0 ? [all] : []);

type Besides = readonly Beside[];

export const measuredFar = eachDayRule<Besides>(
  'day.measured-far',
  {
    looksFor: 'A task whose measured minutes are far from what its way and weight say.',
    why: 'Seconds typed as minutes spoil every schedule; and if it is so, something is in the way.',
    remedy: 'Look at what was typed; forget it where it was a slip.',
    source: SOURCE,
  },
  {
    all: (measured) => ifAny(measuredTasks(measured).filter(isFar)),
    about: () => THE_RIG,
    judge: (far) => {
      const [{ task, estimatedMin } = { task: null, estimatedMin: 0 }] = far;
      return task
        ? {
            level: 'note',
            title: `${task.what}: measured ${figure(task.minutes)} min, reckoned ${figure(estimatedMin)}`,
            says:
              far
                .map(
                  (one) =>
                    `${one.task.what} was measured at ${figure(one.task.minutes)} min; way and weight ` +
                    `say ${figure(one.estimatedMin)}.`,
                )
                .join(' ') + ' Look at what was typed; forget it where it was a slip.',
          }
        : null;
    },
    sums: (far) =>
      far.map(({ task, estimatedMin }) => ({
        label: task.what,
        formula: 'measured ÷ reckoned',
        inputs: [
          { name: 'measured', value: task.minutes, unit: 'min' },
          { name: 'reckoned', value: estimatedMin, unit: 'min' },
        ],
        result: task.minutes / estimatedMin,
        unit: '',
        source: SOURCE,
      })),
    fixes: (far) => [
      batchFix(
        'Forget what was measured',
        far.map(({ task }) => ({ type: 'forgetTask', taskId: task.id })),
      ),
    ],
  },
);

export const measuredSpread = eachDayRule<Besides>(
  'day.measured-spread',
  {
    looksFor: 'A task that took very different times whenever it was measured.',
    why: 'A schedule with its middle is missed every other time.',
    remedy:
      'Find out what makes it slow: a missing mark, a cable that is looked for, one pair of hands.',
    source: SOURCE,
  },
  {
    all: (measured) =>
      ifAny(
        measuredTasks(measured).filter(
          ({ task: { spread } }) =>
            spread !== null &&
            spread.times >= OFTEN &&
            spread.mostMin > SPREAD_TIMES * spread.leastMin,
        ),
      ),
    about: () => THE_RIG,
    judge: (wide) => {
      const texts = wide.map(
        ({ task: { what, spread } }) =>
          `${what} took ${figure(spread?.leastMin ?? 0)} to ${figure(spread?.mostMin ?? 0)} min`,
      );
      return {
        level: 'note',
        title: texts[0] ?? '',
        says:
          `${texts.join('; ')}: a schedule with the middle is missed every other time. Find out what ` +
          'makes it slow: a missing mark, a cable that is looked for, one pair of hands.',
      };
    },
  },
);

type Heavy = readonly ChangeTask[];

export const oneForTwo = eachDayRule<Heavy>(
  'day.one-for-two',
  {
    looksFor: 'Things that two must carry, where one person comes into the room.',
    why: 'What is too heavy is carried alone, and a back or a foot pays for it.',
    remedy:
      'Ask somebody to come for setting up, or leave it standing; local rules on lifting may ask for more.',
    source: 'handbook 7: people needed; over 20 kg two carry',
  },
  {
    all: ({ rig }) => {
      const here = Object.values(rig.people).filter(
        ({ is, where }) => is === 'person' && where === 'on site',
      );
      if (here.length !== 1 || Object.keys(rig.segments).length === 0) return [];
      const heavy = new Map(
        inOrder(rig.sets)
          .flatMap(([setId]) => changeOver(rig, null, setId))
          .filter(({ people, id }) => people > 1 && id !== 'check')
          .map((task) => [task.id, task]),
      );
      return ifAny([...heavy.values()]);
    },
    about: () => THE_RIG,
    judge: (heavy) => ({
      level: 'warn',
      title: `One person is there, and ${heavy[0]?.what ?? ''} takes ${heavy[0]?.people ?? 2}`,
      says:
        `${heavy.map(({ what, people }) => `${what}: ${people} people`).join('; ')}. One person comes into ` +
        'the room. Ask somebody to come for setting up, or leave it standing; local rules on lifting ' +
        'may ask for more.',
    }),
  },
);
