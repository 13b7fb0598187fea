import type { Draft } from 'immer';
import type { z } from 'zod';
import type { Chance } from './chance';
import type { Rig } from './rig';

/** The rig while one command changes it. */
export type DraftRig = Draft<Rig>;

/** Something that leaves the rig, to which other parts may point. */
export type Gone =
  | { readonly kind: 'device'; readonly id: string }
  | { readonly kind: 'person'; readonly id: string }
  | { readonly kind: 'place'; readonly id: string }
  | { readonly kind: 'support'; readonly id: string }
  | { readonly kind: 'noise'; readonly id: string }
  | { readonly kind: 'sight'; readonly id: string }
  | { readonly kind: 'scene'; readonly id: string }
  | { readonly kind: 'lens'; readonly id: string }
  | { readonly kind: 'hand'; readonly id: string }
  | { readonly kind: 'circuit'; readonly id: string }
  | { readonly kind: 'feed'; readonly id: string }
  | { readonly kind: 'opening'; readonly id: string }
  | { readonly kind: 'set'; readonly id: string }
  | { readonly kind: 'backdrop'; readonly id: string }
  | { readonly kind: 'cable way'; readonly id: string };

/** Tells every part of the document that something is leaving. */
export type Forget = (gone: Gone) => void;

/** One way of changing the rig, everything about it in one place. */
export interface CommandOf<Schema extends z.ZodObject> {
  /** What it carries, beside its type */
  readonly schema: Schema;
  /** Does it. @throws Refusal where it would leave the rig inconsistent */
  apply(rig: DraftRig, command: z.infer<Schema>, forget: Forget): void;
  /** The sentence it leaves in the history. @param rig as it stood before */
  says(rig: Rig, command: z.infer<Schema>): string;
  /** Makes one for a test, most of them sensible. @returns null where the rig has nothing it could be about */
  arbitrary(chance: Chance, rig: Rig): z.infer<Schema> | null;
}

/** Writes a command down. The type of what it carries comes from its schema. */
export const command = <Schema extends z.ZodObject>(of: CommandOf<Schema>): CommandOf<Schema> => of;

/** A command of which nothing is known but that it is one. */
export type AnyCommand = CommandOf<z.ZodObject>;

/** Something in a document that no sequence of commands could have made. */
export interface Problem {
  /** Where, as keys from the root */
  readonly path: readonly string[];
  readonly says: string;
}

/** One part of the document. A folder exports these by name, and `slices.ts` lists the folder. */
export interface Slice {
  /** Its fields of the document */
  readonly shape: z.ZodRawShape;
  /** What they hold in a rig that has just begun */
  readonly blank: () => object;
  readonly commands: Readonly<Record<string, AnyCommand>>;
  /** What a schema cannot see: references that lead nowhere, settings out of range */
  readonly problems: (rig: Rig) => Problem[];
  /** Takes out what points to something that leaves the rig */
  readonly forget: (rig: DraftRig, gone: Gone) => void;
  /** Most items of a collection, where it is not the usual number */
  readonly limits: Readonly<Record<string, number>>;
}

/** A reference that leads nowhere, as a problem. @param id null points to nothing, which is no problem */
export const missing = (
  collection: Readonly<Record<string, unknown>>,
  what: string,
  path: readonly string[],
  id: string | null,
): Problem[] =>
  id === null || Object.hasOwn(collection, id)
    ? []
    : [{ path, says: `there is no ${what} "${id}"` }];
