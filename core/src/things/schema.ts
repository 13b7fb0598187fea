import { z } from 'zod';
import { nameSchema } from '../rig/ids';
import { CABLE_IDS } from '../rig/links/cables';

/** The studio's things, each once: what it is, where it came from, how it is, where it lies. */

export const THING_KINDS = ['device', 'lens', 'cable', 'battery', 'card', 'other'] as const;
export type ThingKind = (typeof THING_KINDS)[number];

/** How the studio has it. */
export const HAD_AS = ['owned', 'borrowed', 'wanted'] as const;

export const CONDITIONS = ['new', 'good', 'worn', 'faulty', 'broken'] as const;

/** A class of the catalogue by its id, or a model of the studio's own by `own:` and its id. */
export const modelRefSchema = z
  .string()
  .max(60)
  .regex(/^(own:)?[a-z0-9]+(-[a-z0-9]+)*$/, 'expected a class of the catalogue, or own:model');

const words = z
  .string()
  .trim()
  .min(1, 'expected some text')
  .max(120)
  .regex(/^[^\p{Cc}\p{Cs}]*$/u, 'expected text without control characters');
const positive = z.number().positive().max(1e6);

const fields = z.strictObject({
  name: nameSchema,
  is: z.enum(THING_KINDS),
  /** Of a device */
  modelRef: modelRefSchema.nullable(),
  /** So many that are alike and not told apart */
  count: z.number().int().min(1).max(10_000),
  had: z.enum(HAD_AS),
  /** Whom it is borrowed from, or where it was or will be bought */
  from: words.nullable(),
  /** When what is borrowed goes back */
  backOn: z.iso.date().nullable(),
  serial: words.nullable(),
  boughtOn: z.iso.date().nullable(),
  /** In the studio's currency, for all of them */
  paid: z.number().min(0).max(1e9).nullable(),
  condition: z.enum(CONDITIONS),
  /** Where it is kept between shows */
  keptAt: words.nullable(),
  /** Where its box is, if that was kept */
  boxAt: words.nullable(),
  /** Of a cable */
  cableKind: z.enum(CABLE_IDS).nullable(),
  lengthM: positive.nullable(),
  /** Of a lens; both the same for one that does not zoom */
  shortestMm: positive.nullable(),
  longestMm: positive.nullable(),
  /** Widest f-number at every focal length */
  widest: z.number().min(0.5).max(64).nullable(),
  massKg: z.number().positive().max(100).nullable(),
  /** Nearest it focuses, m */
  nearestM: z.number().min(0).max(100).nullable(),
  mount: nameSchema.nullable(),
  /** Of a card, GB; of a battery, Wh */
  holds: positive.nullable(),
  notes: z
    .string()
    .trim()
    .max(1000)
    .regex(/^[^\p{Cs}\0]*$/u, 'expected text')
    .nullable(),
});

export type Thing = z.infer<typeof fields>;
export type ThingField = keyof Thing;

/** What must be said of each kind. */
const NEEDED: Readonly<Record<ThingKind, readonly ThingField[]>> = {
  device: ['modelRef'],
  lens: ['shortestMm', 'longestMm', 'widest', 'massKg', 'nearestM', 'mount'],
  cable: ['cableKind', 'lengthM'],
  battery: [],
  card: [],
  other: [],
};

/** What each kind has that others have not. */
const ITS_OWN: Readonly<Partial<Record<ThingField, readonly ThingKind[]>>> = {
  modelRef: ['device'],
  cableKind: ['cable'],
  lengthM: ['cable'],
  shortestMm: ['lens'],
  longestMm: ['lens'],
  widest: ['lens'],
  massKg: ['lens'],
  nearestM: ['lens'],
  mount: ['lens'],
  holds: ['card', 'battery'],
};

/** Whether a field is one of a kind of thing. */
export const isFieldOf = (field: ThingField, kind: ThingKind): boolean =>
  ITS_OWN[field]?.includes(kind) ?? true;

/** Whether a field must be said of a kind of thing. */
export const isNeeded = (field: ThingField, kind: ThingKind): boolean =>
  field === 'name' || NEEDED[kind].includes(field);

export const thingSchema = fields.superRefine((thing, context) => {
  const fault = (field: ThingField, message: string) =>
    context.addIssue({ code: 'custom', path: [field], message });
  for (const field of NEEDED[thing.is])
    if (thing[field] === null) fault(field, `must be said of a ${thing.is}`);
  for (const field of Object.keys(ITS_OWN) as ThingField[])
    if (thing[field] !== null && !isFieldOf(field, thing.is))
      fault(field, `is nothing a ${thing.is} has`);
  if (thing.shortestMm !== null && thing.longestMm !== null && thing.shortestMm > thing.longestMm)
    fault('longestMm', 'is shorter than the shortest');
  if (thing.serial !== null && thing.count > 1)
    fault('serial', 'belongs to one thing; several that are alike have none');
  if (thing.backOn !== null && thing.had !== 'borrowed')
    fault('backOn', 'only what is borrowed goes back');
});

/** A thing as it is kept. */
export interface OwnThing {
  readonly id: string;
  /** From 1 up; each time it is saved it is one more */
  readonly version: number;
  readonly thing: Thing;
}

/** One of which nothing is known but its name and kind. */
export const blankThing = (name: string, is: ThingKind): Thing => ({
  name,
  is,
  modelRef: null,
  count: 1,
  had: 'owned',
  from: null,
  backOn: null,
  serial: null,
  boughtOn: null,
  paid: null,
  condition: 'good',
  keptAt: null,
  boxAt: null,
  cableKind: null,
  lengthM: null,
  shortestMm: null,
  longestMm: null,
  widest: null,
  massKg: null,
  nearestM: null,
  mount: null,
  holds: null,
  notes: null,
});

/** Most things of a studio, and of a file. */
export const MOST_THINGS = 5000;
