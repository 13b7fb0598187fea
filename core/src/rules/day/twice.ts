import { inOrder } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, eachDayRule } from '../rule-of';

/** What stands twice where it can be meant once: shows, lines of the house, segments. */

const SOURCE = 'handbook 7: schedule, checklists, rundown';

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
