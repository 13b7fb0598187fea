import { current, isDraft, original } from 'immer';
import { z } from 'zod';

/** Highest place in the order of a collection */
export const MAX_ORDER = 1e9;

/** An item's place in the order of its collection. */
export const orderSchema = z.number().int().min(0).max(MAX_ORDER);

/** Entries of a collection in the order they were added; ids settle ties, so the same rig always reads the same. */
export const inOrder = <T extends { order: number }>(
  collection: Readonly<Record<string, T>>,
): [string, T][] => {
  // What is frozen never changes: it is laid in order once, however many ask.
  if (!Object.isFrozen(collection)) return sorted(collection);
  const known = laid.get(collection) as [string, T][] | undefined;
  if (known) return [...known];
  const made = sorted(collection);
  laid.set(collection, made);
  return [...made];
};

/** Frozen collections in their order. */
const laid = new WeakMap<object, [string, { order: number }][]>();

const sorted = <T extends { order: number }>(
  collection: Readonly<Record<string, T>>,
): [string, T][] =>
  Object.entries(collection).sort(
    ([idA, a], [idB, b]) => a.order - b.order || (idA < idB ? -1 : 1),
  );

/** One entry of a collection by id, and only its own entries. */
export const entry = <T>(collection: Readonly<Record<string, T>>, id: string): T | undefined =>
  Object.hasOwn(collection, id) ? collection[id] : undefined;

/**
 * A part of the rig as it stands in the middle of a command. What an earlier command of the same batch
 * put there is no draft but the thing itself.
 */
export const asItStands = <T>(part: T): T => (isDraft(part) ? current(part) : part);

type Ordered = Record<string, { order: number }>;

/**
 * A collection as it stood before the present command, for reading. Inside a command the collection is a draft, and
 * looking through it makes a draft of every item: thousands of them where only one id is looked for.
 */
export const before = <T extends object>(collection: T): T =>
  isDraft(collection) ? (original(collection) ?? collection) : collection;

/** The last order given in a collection while one command is applied; a draft lives no longer than that. */
const lastGiven = new WeakMap<object, number>();

const highest = (collection: Ordered): number => {
  let last = -1;
  for (const { order } of Object.values(collection)) if (order > last) last = order;
  return last;
};

/**
 * The next place in a collection's order; within one command never the same twice. Where the last place is taken, all
 * are numbered anew from 0 first, so that a file with the highest number there is can still be added to.
 */
export const nextOrder = (collection: Ordered): number => {
  let next = (lastGiven.get(collection) ?? highest(before(collection))) + 1;
  if (next > MAX_ORDER) {
    const items = inOrder(collection);
    items.forEach(([, item], index) => {
      item.order = index;
    });
    next = items.length;
  }
  lastGiven.set(collection, next);
  return next;
};

/** The item, or the refusal that there is none. @throws the refusal */
export const mustHave = <T>(item: T | undefined, refusal: Error): T => {
  if (item === undefined) throw refusal;
  return item;
};
