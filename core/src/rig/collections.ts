import { entry } from './rig';

/** The next place in a collection's order. */
export const nextOrder = (collection: Readonly<Record<string, { order: number }>>): number => {
  let last = -1;
  for (const id in collection) last = Math.max(last, entry(collection, id)?.order ?? -1);
  return last + 1;
};

/** The item, or the refusal that there is none. @throws the refusal */
export const mustHave = <T>(item: T | undefined, refusal: Error): T => {
  if (item === undefined) throw refusal;
  return item;
};
