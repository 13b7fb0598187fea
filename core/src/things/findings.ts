import type { Level } from '../rules';
import type { OwnThing } from './schema';
import { isFit, takeCommand, type Use } from './uses';
import type { SimpleCommand } from '../rig';

/** What is wrong between the studio's things and its rigs: the same thing in two places on a day, and the like. */

export interface ThingFix {
  readonly says: string;
  readonly rigId: string;
  readonly command: SimpleCommand;
}

export interface ThingFinding {
  readonly code:
    | 'things.same-day'
    | 'things.twice'
    | 'things.gone-back'
    | 'things.not-fit'
    | 'things.not-had'
    | 'things.not-listed'
    | 'things.other-model';
  readonly level: Level;
  readonly thingId: string;
  readonly says: string;
  /** The arithmetic, with its numbers in it */
  readonly sum: string;
  readonly fixes: readonly ThingFix[];
}

const groupedBy = <T>(items: readonly T[], by: (item: T) => string): Map<string, T[]> => {
  const groups = new Map<string, T[]>();
  for (const item of items) groups.set(by(item), [...(groups.get(by(item)) ?? []), item]);
  return groups;
};

const nameOf = ({ thing }: OwnThing): string =>
  thing.serial === null ? thing.name : `${thing.name} (${thing.serial})`;

const fits = (thing: OwnThing, use: Use): boolean =>
  use.of === 'device'
    ? thing.thing.is === 'device' && thing.thing.modelRef === use.modelRef
    : thing.thing.is === 'lens';

interface Around {
  readonly things: readonly OwnThing[];
  readonly uses: readonly Use[];
}

/** Whether a thing can stand in for another: of the same model, fit, there on those days, and enough of it. */
const isFree = ({ uses }: Around, own: OwnThing, use: Use): boolean => {
  const { thing, id } = own;
  const taken = uses.filter(({ thingId }) => thingId === id);
  const inSameRig = taken.filter(({ rigId }) => rigId === use.rigId).length;
  const busiest = Math.max(
    0,
    ...use.days.map((day) => taken.filter(({ days }) => days.includes(day)).length),
  );
  const last = use.days.at(-1);
  return (
    isFit(thing) &&
    thing.had !== 'wanted' &&
    Math.max(inSameRig, busiest) < thing.count &&
    !(thing.backOn !== null && last !== undefined && thing.backOn < last)
  );
};

/** Another of the studio's things in its place, and buying one. */
const fixesFor = (around: Around, use: Use, not: string): ThingFix[] => {
  const others = around.things.filter(
    (own) =>
      own.id !== not &&
      fits(own, use) &&
      (use.of === 'device' || sameLens(around, own, not)) &&
      isFree(around, own, use),
  );
  return [
    ...others.slice(0, 2).map((own) => ({
      says: `${use.rigName}: take ${nameOf(own)} for ${use.itemName}`,
      rigId: use.rigId,
      command: takeCommand(use.of, use.itemId, own),
    })),
    {
      says: `${use.rigName}: buy another for ${use.itemName}`,
      rigId: use.rigId,
      command: takeCommand(use.of, use.itemId, null),
    },
  ];
};

const sameLens = ({ things }: Around, own: OwnThing, not: string): boolean => {
  const was = things.find(({ id }) => id === not)?.thing;
  return (
    was !== undefined &&
    own.thing.shortestMm === was.shortestMm &&
    own.thing.longestMm === was.longestMm &&
    own.thing.widest === was.widest &&
    own.thing.mount === was.mount
  );
};

const counted = (uses: readonly Use[]): string => {
  const byRig = new Map<string, number>();
  for (const { rigName, rigId } of uses)
    byRig.set(`${rigName}\n${rigId}`, (byRig.get(`${rigName}\n${rigId}`) ?? 0) + 1);
  return [...byRig].map(([key, count]) => `${key.split('\n')[0]} ${count}`).join(' + ');
};

const twice = (around: Around, own: OwnThing, uses: readonly Use[]): ThingFinding[] =>
  [...groupedBy(uses, ({ rigId }) => rigId).values()].flatMap((inRig) =>
    inRig.length <= own.thing.count
      ? []
      : [
          {
            code: 'things.twice' as const,
            level: 'stop' as const,
            thingId: own.id,
            says:
              `${nameOf(own)} is in ${inRig[0]?.rigName} ${inRig.length} times, as ` +
              `${inRig.map(({ itemName }) => itemName).join(' and ')}; ` +
              `there ${own.thing.count === 1 ? 'is one' : `are ${own.thing.count}`}.`,
            sum: `${inRig.length} used − ${own.thing.count} there = ${inRig.length - own.thing.count} too many`,
            fixes: inRig.slice(own.thing.count).flatMap((use) => fixesFor(around, use, own.id)),
          },
        ],
  );

const sameDay = (around: Around, own: OwnThing, uses: readonly Use[]): ThingFinding[] => {
  const days = [...new Set(uses.flatMap((use) => use.days))].sort();
  const clashes = days.flatMap((day) => {
    const then = uses.filter((use) => use.days.includes(day));
    const isBetween = new Set(then.map(({ rigId }) => rigId)).size > 1;
    return isBetween && then.length > own.thing.count ? [{ day, then }] : [];
  });
  const [first] = clashes;
  if (!first) return [];
  const rigs = [...new Set(first.then.map(({ rigName }) => rigName))];
  const more = clashes.length - 1;
  return [
    {
      code: 'things.same-day',
      level: 'stop',
      thingId: own.id,
      says:
        `${nameOf(own)} is wanted in ${rigs.join(' and ')} on ${first.day}` +
        `${more > 0 ? ` and on ${more} more ${more === 1 ? 'day' : 'days'}` : ''}.`,
      sum: clashes
        .map(
          ({ day, then }) =>
            `${day}: ${counted(then)} = ${then.length}, of ${own.thing.count} there`,
        )
        .join('; '),
      // Whichever rig gives way.
      fixes: first.then.flatMap((use) => fixesFor(around, use, own.id)),
    },
  ];
};

const state = (around: Around, own: OwnThing, uses: readonly Use[]): ThingFinding[] => {
  const { thing, id } = own;
  const found: ThingFinding[] = [];
  const rigs = [...new Set(uses.map(({ rigName }) => rigName))].join(' and ');
  const fixes = uses.flatMap((use) => fixesFor(around, use, id));
  const isLate = (day: string): boolean => thing.backOn !== null && day > thing.backOn;
  const late = uses
    .flatMap(({ days }) => days)
    .filter(isLate)
    .sort();
  if (late[0] !== undefined)
    found.push({
      code: 'things.gone-back',
      level: 'stop',
      thingId: id,
      says:
        `${nameOf(own)} goes back${thing.from === null ? '' : ` to ${thing.from}`} on ${thing.backOn}, ` +
        `and ${rigs} needs it on ${late[0]}.`,
      sum: `${late[0]} is after ${thing.backOn}`,
      fixes: uses
        .filter(({ days }) => days.some(isLate))
        .flatMap((use) => fixesFor(around, use, id)),
    });
  if (uses.length > 0 && !isFit(thing))
    found.push({
      code: 'things.not-fit',
      level: thing.condition === 'broken' ? 'stop' : 'warn',
      thingId: id,
      says: `${nameOf(own)} is ${thing.condition}, and ${rigs} ${uses.length === 1 ? 'is' : 'are'} built on it.`,
      sum: `condition: ${thing.condition}; used ${uses.length} ${uses.length === 1 ? 'time' : 'times'}`,
      fixes,
    });
  if (uses.length > 0 && thing.had === 'wanted')
    found.push({
      code: 'things.not-had',
      level: 'note',
      thingId: id,
      says: `${nameOf(own)} is wanted and not there yet; ${rigs} ${uses.length === 1 ? 'counts' : 'count'} on it.`,
      sum: `0 there of ${uses.length} used`,
      fixes: fixes.filter(
        ({ command }) => command.type === 'takeThing' && command.thingId !== null,
      ),
    });
  for (const use of uses)
    if (!fits(own, use))
      found.push({
        code: 'things.other-model',
        level: 'warn',
        thingId: id,
        says:
          `${use.itemName} of ${use.rigName} is another model than ${nameOf(own)}: what was computed there ` +
          'is not what will stand there.',
        sum: `${use.modelRef ?? 'a lens'} in the rig, ${thing.modelRef ?? `a ${thing.is}`} on the list`,
        fixes: fixesFor(around, use, id),
      });
  return found;
};

const ORDER: readonly Level[] = ['stop', 'warn', 'note'];

/** Everything that is wrong between things and rigs, stops first. @param uses of every rig, as `usesIn` tells them */
export const thingFindings = (
  things: readonly OwnThing[],
  uses: readonly Use[],
): ThingFinding[] => {
  const around = { things, uses };
  const byThing = groupedBy(uses, ({ thingId }) => thingId);
  const listed = things.flatMap((own) => {
    const its = byThing.get(own.id) ?? [];
    return [...sameDay(around, own, its), ...twice(around, own, its), ...state(around, own, its)];
  });
  const ids = new Set(things.map(({ id }) => id));
  const gone = uses.flatMap((use): ThingFinding[] =>
    ids.has(use.thingId)
      ? []
      : [
          {
            code: 'things.not-listed',
            level: 'note',
            thingId: use.thingId,
            says: `${use.itemName} of ${use.rigName} was one of the studio’s things; it is on the list no more.`,
            sum: `“${use.thingId}” is not among the ${things.length} things that are listed`,
            fixes: fixesFor(around, use, use.thingId),
          },
        ],
  );
  return [...listed, ...gone].sort(
    (a, b) => ORDER.indexOf(a.level) - ORDER.indexOf(b.level) || a.says.localeCompare(b.says, 'en'),
  );
};
