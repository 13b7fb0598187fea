import { z } from 'zod';
import { anyId, type Chance, newId, someOf } from './chance';
import { idSchema } from './ids';
import { mustHave, nextOrder } from './order';
import { type Refusal, refusals } from './refusal';
import type { Rig } from './rig';
import type { AnyCommand, CommandOf, DraftRig, Forget } from './slice';

/** Most items of a collection that says nothing else. */
export const MAX_ITEMS = 5000;

type Id<Key extends string> = Record<`${Key}Id`, typeof idSchema>;
type Fields<Shape extends z.ZodRawShape> = z.ZodObject<Shape, z.core.$strict>;
type FieldsOf<Shape extends z.ZodRawShape> = z.infer<Fields<Shape>>;
type Change<Shape extends z.ZodRawShape> = Partial<FieldsOf<Shape>>;

type Add<Key extends string, Shape extends z.ZodRawShape> = CommandOf<
  z.ZodObject<Id<Key> & Record<Key, Fields<Shape>>, z.core.$strict>
>;
type Alter<Key extends string, Shape extends z.ZodRawShape> = CommandOf<
  z.ZodObject<
    Id<Key> &
      Record<
        Key,
        z.ZodObject<{ [Field in keyof Shape]: z.ZodOptional<Shape[Field]> }, z.core.$strict>
      >,
    z.core.$strict
  >
>;
type Remove<Key extends string> = CommandOf<z.ZodObject<Id<Key>, z.core.$strict>>;

/** Add, change and remove of a keyed collection, by their names: `addNoise`, `changeNoise`, `removeNoise`. */
export type CollectionCommands<Key extends string, Shape extends z.ZodRawShape> = Record<
  `add${Capitalize<Key>}`,
  Add<Key, Shape>
> &
  Record<`change${Capitalize<Key>}`, Alter<Key, Shape>> &
  Record<`remove${Capitalize<Key>}`, Remove<Key>>;

interface Draft<Key extends string, Shape extends z.ZodRawShape> {
  /** What one item is called in its commands: `noise` */
  readonly key: Key;
  /** Fields of an item, without its order */
  readonly fields: Fields<Shape>;
  /** Where it stands. @throws Refusal where the rig has no such part yet */
  readonly at: (rig: DraftRig) => Record<string, FieldsOf<Shape> & { order: number }>;
  /** The items for reading; empty where the rig has no such part yet */
  readonly read: (rig: Rig) => Readonly<Record<string, FieldsOf<Shape>>>;
  /** That there is none of an id */
  readonly none: (id: string) => Refusal;
  /** What many of them are called, where there can be too many */
  readonly many: string;
  /** Looks at what an item points to. @throws Refusal */
  readonly check?: (rig: DraftRig, fields: Change<Shape>, id: string) => void;
  /** Tells the rest that one is leaving */
  readonly leaving?: (id: string, forget: Forget) => void;
  readonly says: {
    readonly add: (fields: FieldsOf<Shape>, rig: Rig) => string;
    readonly change: (name: string, fields: Change<Shape>, rig: Rig) => string;
    readonly remove: (name: string, rig: Rig) => string;
    /** What one is called in a sentence */
    readonly name: (fields: FieldsOf<Shape>, rig: Rig) => string;
  };
  /** Fields for a test; null where the rig has nothing they could be about */
  readonly arbitrary: (chance: Chance, rig: Rig) => FieldsOf<Shape> | null;
}

type Given = Readonly<Record<string, unknown>>;

const capital = <Key extends string>(key: Key): Capitalize<Key> =>
  `${key.charAt(0).toUpperCase()}${key.slice(1)}` as Capitalize<Key>;

/** `cableWay` as an id begins: `cable-way`. */
const stemOf = (key: string): string =>
  key.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/**
 * Commands that add, change and remove the items of a keyed collection: its order, its limit and
 * "id taken" are said here once for all of them.
 */
export const collection = <Key extends string, Shape extends z.ZodRawShape>(
  of: Draft<Key, Shape>,
): CollectionCommands<Key, Shape> => {
  const { key, says } = of;
  const idKey = `${key}Id`;
  const idIn = (given: Given): string => String(given[idKey]);
  /** What the schema has read as the fields of an item */
  const fieldsIn = (given: Given): FieldsOf<Shape> => given[key] as FieldsOf<Shape>;
  const nameOf = (rig: Rig, id: string): string => {
    const items = of.read(rig);
    const item = Object.hasOwn(items, id) ? items[id] : undefined;
    return item ? says.name(item, rig) : `“${id}”`;
  };
  const itemIn = (rig: DraftRig, id: string) => {
    const items = of.at(rig);
    return mustHave(Object.hasOwn(items, id) ? items[id] : undefined, of.none(id));
  };
  const commands: Record<string, AnyCommand> = {
    [`add${capital(key)}`]: {
      schema: z.strictObject({ [idKey]: idSchema, [key]: of.fields }),
      apply: (rig, given) => {
        const items = of.at(rig);
        const id = idIn(given);
        if (Object.hasOwn(items, id)) throw refusals.idTaken(id);
        if (Object.keys(items).length >= MAX_ITEMS) throw refusals.tooMany(of.many, MAX_ITEMS);
        const fields = fieldsIn(given);
        of.check?.(rig, fields, id);
        items[id] = { ...fields, order: nextOrder(items) };
      },
      says: (rig, given) => says.add(fieldsIn(given), rig),
      arbitrary: (chance, rig) => {
        const fields = of.arbitrary(chance, rig);
        return fields && { [idKey]: newId(chance, stemOf(key)), [key]: fields };
      },
    },
    [`change${capital(key)}`]: {
      schema: z.strictObject({ [idKey]: idSchema, [key]: of.fields.partial() }),
      apply: (rig, given) => {
        const id = idIn(given);
        const item = itemIn(rig, id);
        const fields = fieldsIn(given);
        of.check?.(rig, fields, id);
        Object.assign(item, fields);
      },
      says: (rig, given) => says.change(nameOf(rig, idIn(given)), fieldsIn(given), rig),
      arbitrary: (chance, rig) => {
        const id = anyId(chance, of.read(rig));
        const fields = of.arbitrary(chance, rig);
        return id === null || fields === null
          ? null
          : { [idKey]: id, [key]: someOf(chance, fields) };
      },
    },
    [`remove${capital(key)}`]: {
      schema: z.strictObject({ [idKey]: idSchema }),
      apply: (rig, given, forget) => {
        const id = idIn(given);
        itemIn(rig, id);
        of.leaving?.(id, forget);
        delete of.at(rig)[id];
      },
      says: (rig, given) => says.remove(nameOf(rig, idIn(given)), rig),
      arbitrary: (chance, rig) => {
        const id = anyId(chance, of.read(rig));
        return id === null ? null : { [idKey]: id };
      },
    },
  };
  // The names are made from the key, as its type says; TypeScript cannot follow that.
  return commands as unknown as CollectionCommands<Key, Shape>;
};
