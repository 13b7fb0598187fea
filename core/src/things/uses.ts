import { CATALOGUE } from '../catalogue';
import type { Model } from '../rig/devices/model';
import { inOrder } from '../rig/order';
import type { Rig, SimpleCommand } from '../rig';
import type { OwnThing, Thing } from './schema';

/** Which rigs use which of the studio's things. */

export interface NamedRig {
  readonly id: string;
  readonly rig: Rig;
}

/** One device or lens of a rig that is one of the studio's things. */
export interface Use {
  readonly rigId: string;
  readonly rigName: string;
  readonly of: 'device' | 'lens';
  readonly itemId: string;
  readonly itemName: string;
  /** What model it has in the rig; null for a lens */
  readonly modelRef: string | null;
  readonly thingId: string;
  /** Days the rig is used on, in order */
  readonly days: readonly string[];
}

/** How a model is called where things name it: its own name in the library, else its class. */
export const modelRefOf = ({ own, classId }: Pick<Model, 'own' | 'classId'>): string | null =>
  own ? `own:${own.modelId}` : (classId ?? null);

/** Every class and model a thing may be of. */
export const allModelRefs = (ownIds: readonly string[]): ReadonlySet<string> =>
  new Set([
    ...CATALOGUE.flatMap((model) => modelRefOf(model) ?? []),
    ...ownIds.map((id) => `own:${id}`),
  ]);

export const daysOf = ({ shows }: Rig): string[] =>
  [...new Set(Object.values(shows).map(({ on }) => on))].sort();

export const usesIn = ({ id: rigId, rig }: NamedRig): Use[] => {
  const days = daysOf(rig);
  const one = (
    of: Use['of'],
    itemId: string,
    item: { name: string; thingId?: string | undefined },
  ) =>
    item.thingId === undefined
      ? []
      : [
          {
            rigId,
            rigName: rig.name,
            of,
            itemId,
            itemName: item.name,
            thingId: item.thingId,
            days,
          },
        ];
  return [
    ...inOrder(rig.devices).flatMap(([itemId, device]) =>
      one('device', itemId, device).map((use) => ({ ...use, modelRef: modelRefOf(device.model) })),
    ),
    ...inOrder(rig.lenses).flatMap(([itemId, lens]) =>
      one('lens', itemId, lens).map((use) => ({ ...use, modelRef: null })),
    ),
  ];
};

/** The edit that makes an item of a rig one of the studio's things. */
export const takeCommand = (
  of: Use['of'],
  id: string,
  own: OwnThing | null,
): Extract<SimpleCommand, { type: 'takeThing' }> => ({
  type: 'takeThing',
  of,
  id,
  thingId: own?.id ?? null,
  ownership: own === null || own.thing.had === 'wanted' ? 'to buy' : own.thing.had,
});

/** Whether nothing is the matter with it. */
export const isFit = ({ condition }: Thing): boolean =>
  condition !== 'faulty' && condition !== 'broken';

/** A thing as a lens of a rig. @returns null where it is none */
export const asLens = ({ thing }: OwnThing) => {
  const { name, shortestMm, longestMm, widest, massKg, nearestM, mount } = thing;
  return shortestMm === null ||
    longestMm === null ||
    widest === null ||
    massKg === null ||
    nearestM === null ||
    mount === null
    ? null
    : { name, focal: { shortestMm, longestMm }, widest, massKg, nearestM, mount };
};
