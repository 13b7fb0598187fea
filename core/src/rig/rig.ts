import { z } from 'zod';
import { CABLE_IDS } from '../catalogue/cables';
import { briefSchema, shotSchema } from './brief';
import { DEFAULT_HOUSE_RULES, houseRulesSchema } from './house';
import { idSchema, nameSchema } from './ids';
import { modelSchema } from './model';
import { panelSchema, sceneSchema, shotPlanSchema } from './programme';
import { aimSchema, noiseSchema, roomSchema, spotSchema, UNKNOWN_ROOM } from './room';

/** Version of the document this code writes. Older ones are brought up to it by `upgrade`. */
export const RIG_VERSION = 5;
export const MAX_DEVICES = 5000;
export const MAX_LINKS = 20_000;
/** Longest cable a document may hold. @unit m */
export const MAX_CABLE_M = 5000;

/** Highest place in the order of a collection */
export const MAX_ORDER = 1e9;
const order = z.number().int().min(0).max(MAX_ORDER);

export const personSchema = z.strictObject({
  name: nameSchema,
  where: z.enum(['on site', 'remote']),
  posture: z.enum(['sits', 'stands', 'moves']),
  /** Shot of their face that is needed; null where they are not to be seen */
  shot: shotSchema.nullable(),
  /** Whether their voice is to be heard */
  isHeard: z.boolean(),
  /** Speech level at 1 m on axis, dB SPL */
  speechDbSpl: z.number().min(30).max(120),
  /** How far the voice strays to either side of that level, dB */
  spreadDb: z.number().min(0).max(30),
  /** Peak over RMS of this voice, dB */
  crestDb: z.number().min(0).max(40),
  wearsGlasses: z.boolean(),
  dislikesHeadset: z.boolean(),
  needsHandsFree: z.boolean(),
  /** Where their mouth is; null where nobody has said, and for remote guests */
  at: spotSchema.nullable(),
  order,
});
export type Person = z.infer<typeof personSchema>;

export const placeSchema = z.strictObject({ name: nameSchema, order });
export type Place = z.infer<typeof placeSchema>;

export const settingSchema = z.union([z.number(), z.boolean(), z.string().max(60)]);

export const OWNERSHIPS = ['owned', 'borrowed', 'to buy', 'second-hand'] as const;
export type Ownership = (typeof OWNERSHIPS)[number];

export const deviceSchema = z.strictObject({
  name: nameSchema,
  model: modelSchema,
  /** Values of the model's controls; a control left out stands at its initial value */
  settings: z.record(idSchema, settingSchema),
  /** Whose microphone, camera or headphones it is */
  personId: idSchema.nullable(),
  placeId: idSchema.nullable(),
  /** Which of the brief's sights a camera or player shows */
  sightId: idSchema.nullable(),
  /** What was or will be paid, in the studio's currency; null = the class's typical price */
  price: z.number().min(0).max(1e9).nullable(),
  ownership: z.enum(OWNERSHIPS),
  /** Where it stands by itself; a microphone with a person stands where its aim says */
  at: spotSchema.nullable(),
  /** A microphone: how it stands to its person's mouth; null = straight in front and pointed at it */
  aim: aimSchema.nullable(),
  order,
});
export type Device = z.infer<typeof deviceSchema>;

export const endSchema = z.strictObject({ deviceId: idSchema, portId: idSchema });
export type End = z.infer<typeof endSchema>;

export const runSchema = z.strictObject({
  kind: z.enum(CABLE_IDS),
  lengthM: z.number().min(0).max(MAX_CABLE_M),
});
export type CableRun = z.infer<typeof runSchema>;

export const linkSchema = z.strictObject({ from: endSchema, to: endSchema, cable: runSchema });
export type Link = z.infer<typeof linkSchema>;

export const rigSchema = z.strictObject({
  version: z.literal(RIG_VERSION),
  name: nameSchema,
  notes: z.string().max(20_000),
  houseRules: houseRulesSchema,
  /** null until someone has said what the show needs: then nothing is judged by it */
  brief: briefSchema.nullable(),
  people: z.record(idSchema, personSchema),
  places: z.record(idSchema, placeSchema),
  room: roomSchema,
  noises: z.record(idSchema, noiseSchema),
  devices: z.record(idSchema, deviceSchema),
  links: z.record(idSchema, linkSchema),
  shots: z.record(idSchema, shotPlanSchema),
  scenes: z.record(idSchema, sceneSchema),
  panel: panelSchema,
});
/** The rig: one document, changed only by commands. */
export type Rig = z.infer<typeof rigSchema>;

/** Normal speech of an unpractised talker, dB SPL at 1 m, and its crest. @source handbook 2-sound, after ISO 9921 */
export const DEFAULT_SPEECH = { speechDbSpl: 62, crestDb: 14 } as const;

/** Someone on site who sits and talks, as long as nothing else is said. */
export const USUAL_PERSON = {
  where: 'on site',
  posture: 'sits',
  shot: 'head and shoulders',
  isHeard: true,
  ...DEFAULT_SPEECH,
  spreadDb: 6,
  wearsGlasses: false,
  dislikesHeadset: false,
  needsHandsFree: false,
  at: null,
} as const satisfies Omit<Person, 'name' | 'order'>;

export const blankRig = (name: string): Rig => ({
  version: RIG_VERSION,
  name,
  notes: '',
  houseRules: { ...DEFAULT_HOUSE_RULES },
  brief: null,
  people: {},
  places: {},
  room: { ...UNKNOWN_ROOM },
  noises: {},
  devices: {},
  links: {},
  shots: {},
  scenes: {},
  panel: { columns: 4, buttons: {} },
});

/** Entries of a collection in the order they were added; ids settle ties, so the same rig always reads the same. */
export const inOrder = <T extends { order: number }>(
  collection: Readonly<Record<string, T>>,
): [string, T][] =>
  Object.entries(collection).sort(
    ([idA, a], [idB, b]) => a.order - b.order || (idA < idB ? -1 : 1),
  );

/** One entry of a collection by id, and only its own entries. */
export const entry = <T>(collection: Readonly<Record<string, T>>, id: string): T | undefined =>
  Object.hasOwn(collection, id) ? collection[id] : undefined;
