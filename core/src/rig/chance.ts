import type { Model } from './devices/model';
import { type Had, OWNERSHIPS } from './devices/ownership';

/** Where choices come from that a test makes at random and can make again. Numbers are drawn evenly. */
export interface Chance {
  /** A whole number from `least` to `most`, both included */
  readonly integer: (least: number, most: number) => number;
  /** One of a list that is not empty */
  readonly oneOf: <const T>(list: readonly [T, ...T[]]) => T;
  /** True once in so many times */
  readonly once: (inTimes: number) => boolean;
  /** Models to choose devices from */
  readonly models: readonly Model[];
}

/** One of a list; null where it is empty. */
export const anyOf = <const T>(chance: Chance, list: readonly T[]): T | null => {
  const [first, ...rest] = list;
  return first === undefined ? null : chance.oneOf([first, ...rest]);
};

/** An id of a collection; null where it has none. */
export const anyId = (
  chance: Chance,
  collection: Readonly<Record<string, unknown>>,
): string | null => anyOf(chance, Object.keys(collection));

/** Some of a collection's ids, none twice. */
export const someIds = (
  chance: Chance,
  collection: Readonly<Record<string, unknown>>,
  most = 3,
): string[] =>
  Object.keys(collection)
    .filter(() => chance.once(2))
    .slice(0, most);

/** An id that is now and then taken already, as two people who add at once would find it. */
export const newId = (chance: Chance, stem: string): string => `${stem}-${chance.integer(1, 12)}`;

/** Some of an object's fields: what a change gives. */
export const someOf = <T extends object>(chance: Chance, fields: T): Partial<T> => {
  const some: Partial<T> = {};
  for (const key in fields) if (chance.once(2)) some[key] = fields[key];
  return some;
};

/** How a thing is had, and its price. */
export const anyHad = (chance: Chance): Had => ({
  ownership: chance.oneOf(OWNERSHIPS),
  price: chance.once(2) ? null : chance.integer(5, 200),
});

/** A number in tenths. */
export const tenths = (chance: Chance, least: number, most: number): number =>
  chance.integer(least * 10, most * 10) / 10;

/**
 * Choices that are the same every time for the same seed, on every machine.
 * @param seed any whole number @param models device models to choose from
 */
export const seeded = (seed: number, models: readonly Model[] = []): Chance => {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  const integer = (least: number, most: number): number =>
    least + Math.floor(next() * (most - least + 1));
  return {
    integer,
    oneOf: (list) => list[integer(0, list.length - 1)] ?? list[0],
    once: (inTimes) => next() * inTimes < 1,
    models,
  };
};
