import { CABLES, type OwnThing, type Thing, type Use } from '@echo-loom/core';

/** The list of things, searched and narrowed. */

export interface NarrowedThings {
  readonly query: string;
  readonly kind: string | null;
  readonly had: string | null;
  readonly condition: string | null;
  readonly use: string | null;
}

export const ALL_THINGS: NarrowedThings = {
  query: '',
  kind: null,
  had: null,
  condition: null,
  use: null,
};

const focal = ({ shortestMm, longestMm, widest, mount }: Thing): string =>
  `${shortestMm === longestMm ? shortestMm : `${shortestMm}–${longestMm}`} mm f/${widest}, ${mount}`;

/** What a thing is, in a few words. @param names of models, by how things name them */
export const whatText = (thing: Thing, names: ReadonlyMap<string, string>): string => {
  switch (thing.is) {
    case 'device':
      return names.get(thing.modelRef ?? '') ?? thing.modelRef ?? 'device';
    case 'lens':
      return focal(thing);
    case 'cable':
      return thing.cableKind === null
        ? 'cable'
        : `${thing.lengthM} m ${CABLES[thing.cableKind].name}`;
    case 'card':
      return thing.holds === null ? 'card' : `card, ${thing.holds} GB`;
    case 'battery':
      return thing.holds === null ? 'battery' : `battery, ${thing.holds} Wh`;
    case 'other':
      return 'other';
  }
};

/** What fits every condition, as it stood in the list. */
export const narrowedThings = (
  things: readonly OwnThing[],
  usesOf: ReadonlyMap<string, readonly Use[]>,
  names: ReadonlyMap<string, string>,
  by: NarrowedThings,
): OwnThing[] => {
  const words = by.query.toLowerCase().split(/\s+/).filter(Boolean);
  return things.filter(({ id, thing }) => {
    const uses = usesOf.get(id) ?? [];
    const text = [
      thing.name,
      whatText(thing, names),
      thing.serial,
      thing.keptAt,
      thing.boxAt,
      thing.from,
      thing.notes,
      ...uses.map(({ rigName }) => rigName),
    ]
      .join(' ')
      .toLowerCase();
    return (
      words.every((word) => text.includes(word)) &&
      (by.kind === null || thing.is === by.kind) &&
      (by.had === null || thing.had === by.had) &&
      (by.condition === null || thing.condition === by.condition) &&
      (by.use === null || (by.use === 'used') === uses.length > 0)
    );
  });
};
