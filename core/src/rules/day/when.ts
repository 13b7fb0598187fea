import { secondsOfDay, timedRundown } from '../../day/rundown';
import { figure } from '../../passes/sum';
import type { Rig } from '../../rig';
import { THE_RIG } from '../about';
import { eachDayRule } from '../rule-of';

/** When the show is: its beginning, its set-up, its end. */

const SOURCE = 'handbook 7: schedule';

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
