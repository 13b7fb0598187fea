import type { Rig } from '@echo-loom/core';

/** What differs between two rigs: whole parts, and of collections only the entries that changed. */
export interface RigChanges {
  /** Parts of the document that are taken as they are */
  readonly parts: Readonly<Partial<Rig>>;
  /** By part: entries added or changed, and ids that are gone */
  readonly entries: Readonly<
    Record<string, { readonly set: Readonly<Record<string, unknown>>; readonly gone: string[] }>
  >;
}

type Collection = Readonly<Record<string, unknown>>;

const isCollection = (value: unknown): value is Collection =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const partsOf = (rig: Rig): (keyof Rig)[] => Object.keys(rig) as (keyof Rig)[];

/** @param before null where the other side has no rig yet */
export const changesOf = (before: Rig | null, after: Rig): RigChanges => {
  if (!before) return { parts: after, entries: {} };
  const parts: Partial<Record<keyof Rig, unknown>> = {};
  const entries: Record<string, { set: Record<string, unknown>; gone: string[] }> = {};
  for (const part of partsOf(after)) {
    const [then, now]: [unknown, unknown] = [before[part], after[part]];
    if (then === now) continue;
    if (!isCollection(then) || !isCollection(now)) {
      parts[part] = now;
      continue;
    }
    entries[part] = {
      set: Object.fromEntries(Object.entries(now).filter(([id, item]) => then[id] !== item)),
      gone: Object.keys(then).filter((id) => !Object.hasOwn(now, id)),
    };
  }
  // Taken from a rig, part by part.
  return { parts: parts as Partial<Rig>, entries };
};

/** A rig after changes; what did not change stays the very same object. */
export const withChanges = (before: Rig | null, { parts, entries }: RigChanges): Rig => {
  const rig: Record<string, unknown> = { ...before, ...parts };
  for (const [part, { set, gone }] of Object.entries(entries)) {
    const then = rig[part];
    const entry: Record<string, unknown> = { ...(isCollection(then) ? then : {}), ...set };
    for (const id of gone) Reflect.deleteProperty(entry, id);
    rig[part] = entry;
  }
  // Every part of the earlier rig, with those that changed put in their place.
  return rig as Rig;
};
