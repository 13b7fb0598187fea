import { changeOver, type ChangeTask } from '../../day/change-over';
import { secondsOfDay, timedRundown } from '../../day/rundown';
import type { Measured } from '../../passes/measure';
import { figure } from '../../passes/sum';
import { inOrder, type Rig } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, eachDayRule } from '../rule-of';

/** What the house has said of its days: when shows are, its own lines, what it measured, who is there. */

const SOURCE = 'handbook 7: schedule, checklists, estimates';

type Named = readonly { readonly id: string; readonly name: string }[];

/** Later ones that are called as an earlier one; none where each is called otherwise. */
const again = <T>(
  items: Readonly<Record<string, T & { readonly order: number }>>,
  keyOf: (item: T) => string,
  nameOf: (item: T) => string,
): readonly Named[] => {
  const seen = new Set<string>();
  const twice = inOrder(items).flatMap(([id, item]) => {
    const key = keyOf(item).trim().toLowerCase();
    if (!seen.has(key)) {
      seen.add(key);
      return [];
    }
    return [{ id, name: nameOf(item) }];
  });
  return twice.length > 0 ? [twice] : [];
};

const listed = (names: Named): string => names.map(({ name }) => `“${name}”`).join(', ');

export const showTwice = eachDayRule<Named>(
  'day.show-twice',
  {
    looksFor: 'Two shows of the rig on one day.',
    why: 'The rundown has one beginning: both would begin at once, and people and things count twice.',
    remedy: 'Take one off the list, or plan the second as a rig of its own.',
    source: SOURCE,
  },
  {
    all: ({ rig }) =>
      again(
        rig.shows,
        ({ on }) => on,
        ({ name, on }) => `${name}, ${on}`,
      ),
    about: () => THE_RIG,
    judge: (twice) => ({
      level: 'warn',
      title: `${twice[0]?.name ?? ''} is the second show of its day`,
      says:
        `On the list of shows ${listed(twice)} ${twice.length === 1 ? 'is' : 'are'} on a day that has ` +
        'one already. Take one off the list, or plan the second as a rig of its own.',
    }),
    fixes: (twice) => [
      batchFix(
        `Take ${twice.length === 1 ? 'it' : 'them'} off the list`,
        twice.map(({ id }) => ({ type: 'removeShow', showId: id })),
      ),
    ],
  },
);

export const noBeginning = eachDayRule<Rig>(
  'day.no-beginning',
  {
    looksFor: 'A rundown and days of shows, and no time at which the show begins.',
    why: 'Nobody can say when the room is wanted, or whether somebody is wanted twice.',
    remedy: 'Say in the rundown when the show begins.',
    source: SOURCE,
  },
  {
    all: ({ rig }) =>
      Object.keys(rig.shows).length > 0 && Object.keys(rig.segments).length > 0 ? [rig] : [],
    about: () => THE_RIG,
    judge: ({ beginsAt }) =>
      beginsAt === null
        ? {
            level: 'note',
            title: 'Nobody has said when the show begins',
            says:
              'There are days and a rundown, and no time of day: the schedule cannot tell whether ' +
              'people and the room are free. Say in the rundown when the show begins.',
          }
        : null,
  },
);

const DAY_MIN = 24 * 60;

export const setUpNight = eachDayRule<Rig>(
  'day.set-up-night',
  {
    looksFor: 'Setting up that would begin the day before the show.',
    why: 'The room and the people are asked for on the wrong day.',
    remedy:
      'Begin the show later, set up in less time, or plan the evening before as a day of its own.',
    source: SOURCE,
  },
  {
    all: ({ rig }) => (rig.brief && rig.beginsAt !== null ? [rig] : []),
    about: () => THE_RIG,
    judge: ({ brief, beginsAt }) => {
      const setUpMin = brief?.setUpMin ?? 0;
      const fromMin = secondsOfDay(beginsAt ?? '00:00') / 60 - setUpMin;
      return fromMin < 0
        ? {
            level: 'note',
            title: `Setting up begins ${figure(-fromMin, 0)} min before midnight`,
            says:
              `The show begins at ${beginsAt}, and ${figure(setUpMin, 0)} min are allowed for ` +
              'setting up: that is the day before. Begin later, set up in less time, or plan the ' +
              'evening before as a day of its own.',
          }
        : null;
    },
    sums: ({ brief, beginsAt }) => [
      {
        label: 'Setting up from',
        formula: 'beginning − set-up time',
        inputs: [
          { name: 'beginning', value: secondsOfDay(beginsAt ?? '00:00') / 60, unit: 'min' },
          { name: 'set-up', value: brief?.setUpMin ?? 0, unit: 'min' },
        ],
        result: secondsOfDay(beginsAt ?? '00:00') / 60 - (brief?.setUpMin ?? 0),
        unit: 'min',
        source: SOURCE,
      },
    ],
  },
);

export const pastMidnight = eachDayRule<Rig>(
  'day.past-midnight',
  {
    looksFor: 'A show that ends on the next day.',
    why: 'Names of files and the calendar have the first day; last trains and house rules have the second.',
    remedy: 'Begin earlier, or tell everybody of both days.',
    source: SOURCE,
  },
  {
    all: ({ rig }) =>
      rig.brief && rig.beginsAt !== null && Object.keys(rig.segments).length > 0 ? [rig] : [],
    about: () => THE_RIG,
    judge: (rig) => {
      const { totalS } = timedRundown(rig);
      const endsMin = secondsOfDay(rig.beginsAt ?? '00:00') / 60 + totalS / 60;
      return endsMin > DAY_MIN
        ? {
            level: 'note',
            title: `The show ends ${figure(endsMin - DAY_MIN, 0)} min after midnight`,
            says:
              `It begins at ${rig.beginsAt}, and its segments take ${figure(totalS / 60, 0)} min: it ends ` +
              'on the next day. Begin earlier, or tell everybody of both days.',
          }
        : null;
    },
  },
);

export const houseLineTwice = eachDayRule<Named>(
  'day.house-line-twice',
  {
    looksFor: 'Two lines of the house that say the same in one checklist.',
    why: 'One of two equal ticks is made without looking.',
    remedy: 'Take one away.',
    source: SOURCE,
  },
  {
    all: ({ rig }) =>
      again(
        rig.houseLines,
        ({ phase, what, where }) => `${phase}\n${what}\n${where}`,
        ({ what }) => what,
      ),
    about: () => THE_RIG,
    judge: (twice) => ({
      level: 'note',
      title: `${listed(twice)} stands in a checklist twice`,
      says: `${listed(twice)} stands twice in the same checklist, with the same place. Take one away.`,
    }),
    fixes: (twice) => [
      batchFix(
        'Take the second away',
        twice.map(({ id }) => ({ type: 'removeHouseLine', houseLineId: id })),
      ),
    ],
  },
);

export const segmentTwice = eachDayRule<Named>(
  'day.segment-twice',
  {
    looksFor: 'Segments of one name.',
    why: 'In the log, among the chapters and in a call over the intercom nobody knows which is meant.',
    remedy: 'Give each a name of its own.',
    source: SOURCE,
  },
  {
    all: ({ rig }) =>
      again(
        rig.segments,
        ({ title }) => title,
        ({ title }) => title,
      ),
    about: () => THE_RIG,
    judge: (twice) => ({
      level: 'note',
      title: `More than one segment is called ${listed(twice)}`,
      says:
        `${listed(twice)} stands in the rundown more than once: in the log and among the chapters ` +
        'they cannot be told apart. Give each a name of its own.',
    }),
    fixes: (twice, { rig }) => {
      const taken = new Set(Object.values(rig.segments).map(({ title }) => title.toLowerCase()));
      return [
        batchFix(
          'Number the later ones',
          twice.map(({ id, name }) => {
            let number = 2;
            while (taken.has(`${name} ${number}`.toLowerCase())) number += 1;
            const title = `${name} ${number}`;
            taken.add(title.toLowerCase());
            return { type: 'changeSegment', segmentId: id, segment: { title } };
          }),
        ),
      ];
    },
  },
);

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
