import { apply, type Command, type Rig } from '../../rig';
import { demoRig } from '../demo-for-cases';
import { ruleCases } from '../judge-for-cases';

/** Rules of what the house says of its days, on Second Firing: 19:30, 90 minutes, 45 to set up. */

const firing = demoRig('second-firing');
const edited = (rig: Rig, ...commands: readonly Command[]): Rig =>
  commands.reduce<Rig>((to, command) => apply(to, command), rig);
const show = (showId: string, on: string): Command => ({
  type: 'addShow',
  showId,
  show: { name: 'Extra', on },
});

ruleCases('day.show-twice', {
  valid: { 'two on two days': firing },
  invalid: {
    'a second on one day': {
      rig: edited(firing, show('extra', '2026-12-10')),
      level: 'warn',
      says: /“Extra, 2026-12-10” is on a day that has one already/,
      fixes: ['Take it off the list'],
    },
    'two more of two days': {
      rig: edited(firing, show('extra', '2026-12-10'), show('more', '2026-12-03')),
      level: 'warn',
      fixes: ['Take them off the list'],
    },
  },
});

const [first = '', second = ''] = Object.keys(firing.segments);
const title = (segmentId: string, to: string): Command => ({
  type: 'changeSegment',
  segmentId,
  segment: { title: to },
});

ruleCases('day.segment-twice', {
  valid: { 'each of its own name': firing },
  invalid: {
    'two alike but for capitals': {
      rig: edited(firing, title(first, 'At the wheel'), title(second, 'AT THE WHEEL')),
      level: 'note',
      fixes: ['Number the later ones'],
    },
  },
});

const line = (houseLineId: string, where = 'Door'): Command => ({
  type: 'addHouseLine',
  houseLineId,
  houseLine: { phase: 'strike', what: 'Lock up', where, who: '', why: '', isMust: false },
});

ruleCases('day.house-line-twice', {
  valid: { 'in two places': edited(firing, line('a'), line('b', 'Shed')) },
  invalid: {
    'the same twice': {
      rig: edited(firing, line('a'), line('b', 'door')),
      level: 'note',
      says: /“Lock up” stands twice in the same checklist/,
      fixes: ['Take the second away'],
    },
  },
});

const begins = (beginsAt: string | null): Rig => edited(firing, { type: 'setBeginning', beginsAt });

ruleCases('day.no-beginning', {
  valid: { said: firing },
  invalid: { 'nobody said': { rig: begins(null), level: 'note', fixes: [] } },
});

ruleCases('day.set-up-night', {
  valid: { 'in the evening': firing, 'just on the day': begins('00:45'), 'not said': begins(null) },
  invalid: {
    'half past midnight': {
      rig: begins('00:30'),
      level: 'note',
      says: /^The show begins at 00:30, and 45 min are allowed/,
      sum: -15,
      fixes: [],
    },
  },
});

ruleCases('day.past-midnight', {
  valid: { 'in the evening': firing, 'not said': begins(null) },
  invalid: {
    late: { rig: begins('23:00'), level: 'note', says: /it ends on the next day/, fixes: [] },
  },
});

const [stand = ''] = Object.entries(firing.supports).flatMap(([id, { figures }]) =>
  figures.is === 'stand' ? [id] : [],
);
const took = (...minutes: readonly number[]): Rig =>
  edited(
    firing,
    ...minutes.map((each): Command => ({
      type: 'measureTask',
      taskId: `support ${stand}`,
      minutes: each,
    })),
  );

ruleCases('day.measured-far', {
  valid: { 'nothing measured': firing, 'as reckoned': took(1.5), 'a little slower': took(3) },
  invalid: {
    'seconds typed as minutes': {
      rig: took(90),
      level: 'note',
      says: /was measured at 90.0 min; way and weight say/,
      fixes: ['Forget what was measured'],
    },
  },
});

ruleCases('day.measured-spread', {
  valid: { 'twice alone': took(1, 5), 'much the same': took(1.5, 2, 2.5) },
  invalid: {
    'one to five': { rig: took(1, 2, 5), level: 'note', says: /took 1.0 to 5.0 min/, fixes: [] },
  },
});

/** Everybody but the first is by line; one stand is heavier than one may carry. */
const alone = (ballastKg: number): Rig => {
  const people = Object.entries(firing.people).filter(([, { is }]) => is === 'person');
  const rig = edited(
    firing,
    ...people.slice(1).map(([personId]): Command => ({
      type: 'changePerson',
      personId,
      person: { where: 'remote' },
    })),
  );
  const support = rig.supports[stand];
  return support?.figures.is === 'stand'
    ? {
        ...rig,
        supports: {
          ...rig.supports,
          [stand]: { ...support, figures: { ...support.figures, ballastKg } },
        },
      }
    : rig;
};

ruleCases('day.one-for-two', {
  valid: { 'three are there': firing },
  invalid: {
    'one, and a stand of 30 kg': {
      rig: alone(30),
      level: 'warn',
      says: /One person comes into the room/,
      fixes: [],
    },
  },
});
