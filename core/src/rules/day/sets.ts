import { setUpWork } from '../../day/change-over';
import { leastMinutes } from '../../day/schedule';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { entry, inOrder, type Rig, TAPES } from '../../rig';
import { batchFix, eachDayRule } from '../rule-of';

/** Sets: their marks, and how long it takes until one stands. */

const SOURCE = 'handbook 7: sets and change-over';
/** Reckoned with where nobody says how many there are. */
const PEOPLE = 2;

interface Set {
  readonly setId: string;
  readonly name: string;
}

const setsOf = ({ rig }: Measured): readonly Set[] =>
  inOrder(rig.sets).map(([setId, { name }]) => ({ setId, name }));
const ofSet = ({ setId }: Set) => ({ kind: 'set' as const, setId });

const inAnother = ({ sets, tapes }: Rig, setId: string) => {
  const taken = new Set(
    Object.keys(sets)
      .filter((id) => id !== setId)
      .map((id) => entry(tapes, id)),
  );
  const tape = TAPES.find((colour) => !taken.has(colour));
  return tape === undefined
    ? []
    : [batchFix(`Mark it in ${tape} tape`, [{ type: 'setTape', setId, tape }])];
};

export const tapeTwice = eachDayRule<Set>(
  'day.tape-twice',
  {
    looksFor: 'Two sets marked in one colour of tape.',
    why: 'In the dark a tripod goes on the mark of the other set.',
    remedy: 'Mark one of them in another colour.',
    source: SOURCE,
  },
  {
    all: setsOf,
    about: ofSet,
    judge: ({ setId, name }, { rig }) => {
      const tape = entry(rig.tapes, setId);
      const earlier = inOrder(rig.sets).find(
        ([id]) => id !== setId && tape !== undefined && entry(rig.tapes, id) === tape,
      );
      // Told of the later one alone.
      const isLater =
        earlier !== undefined && earlier[1].order <= (entry(rig.sets, setId)?.order ?? 0);
      return isLater
        ? {
            level: 'warn',
            title: `${name} and ${earlier[1].name} are both marked in ${tape}`,
            says:
              `${name} and ${earlier[1].name} are both marked in ${tape} tape: nobody can tell whose ` +
              'mark it is. Mark one of them in another colour.',
          }
        : null;
    },
    fixes: ({ setId }, { rig }) => inAnother(rig, setId),
  },
);

export const setUnmarked = eachDayRule<Set>(
  'day.set-unmarked',
  {
    looksFor: 'A set without marks, where another has them.',
    why: 'Every place is measured anew at each change-over.',
    remedy: 'Mark it in a colour of its own.',
    source: SOURCE,
    together: (count) => `${count} sets have no marks`,
  },
  {
    all: setsOf,
    about: ofSet,
    judge: ({ setId, name }, { rig }) =>
      // Silent until the house has begun to mark.
      Object.keys(rig.tapes).length > 0 && entry(rig.tapes, setId) === undefined
        ? {
            level: 'note',
            title: `${name} has no marks`,
            says:
              `${name} has no colour of tape: every place in it is measured anew at each ` +
              'change-over. Mark it in a colour of its own.',
          }
        : null,
    fixes: ({ setId }, { rig }) => inAnother(rig, setId),
  },
);

const leastFor = ({ setId }: Set, measured: Measured): number | null =>
  leastMinutes(setUpWork(measured, setId), PEOPLE);

export const setUpLong = eachDayRule<Set>(
  'day.set-up-long',
  {
    looksFor: 'A set that two people cannot have standing in the time for setting up.',
    why: 'The show begins late, or with something left out.',
    remedy: 'Leave cables plugged, mark places, come with more people, or ask for more time.',
    source: SOURCE,
  },
  {
    all: setsOf,
    about: ofSet,
    judge: (set, measured) => {
      const allowed = measured.rig.brief?.setUpMin ?? null;
      const least = allowed === null ? null : leastFor(set, measured);
      return allowed !== null && least !== null && least > allowed
        ? {
            level: 'note',
            title: `${set.name} takes two people ${figure(least, 0)} min at least`,
            says:
              `From everything put away, ${set.name} takes two people ${figure(least, 0)} min at ` +
              `least; ${figure(allowed, 0)} are there. Leave cables plugged, mark places, come with ` +
              'more people, or ask for more time.',
          }
        : null;
    },
    sums: (set, measured) => [
      {
        label: 'Setting up with two people',
        formula: 'the longest chain, or all the work ÷ people',
        inputs: [
          { name: 'allowed', value: measured.rig.brief?.setUpMin ?? 'unknown', unit: 'min' },
        ],
        result: leastFor(set, measured),
        unit: 'min',
        source: SOURCE,
      },
    ],
  },
);
