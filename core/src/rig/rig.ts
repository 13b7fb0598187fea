import { z } from 'zod';
import { CABLE_IDS } from '../catalogue/cables';
import { idSchema, nameSchema } from './ids';
import { modelSchema } from './model';

/** Version of the document this code writes. Older ones are brought up to it by `upgrade`. */
export const RIG_VERSION = 2;
export const MAX_DEVICES = 5000;
export const MAX_LINKS = 20_000;
/** Longest cable a document may hold. @unit m */
export const MAX_CABLE_M = 5000;

export const RECORDING_LEVELS = ['average -18', 'average -20'] as const;

export const houseRulesSchema = z.strictObject({
  /** Which school of recording level the rig follows */
  recordingLevel: z.enum(RECORDING_LEVELS),
  /** Least distance from a peak to the ceiling of any stage, dB */
  headroomDb: z.number().min(0).max(40),
  /** Least signal-to-noise ratio of a voice, dB */
  minimumSnrDb: z.number().min(0).max(120),
  /** Share of a cable's reach above which a run is a warning */
  reachWarnShare: z.number().min(0.1).max(1),
});
export type HouseRules = z.infer<typeof houseRulesSchema>;

const order = z.number().int().min(0).max(1e9);

export const personSchema = z.strictObject({
  name: nameSchema,
  where: z.enum(['on site', 'remote']),
  /** Speech level at 1 m on axis, dB SPL */
  speechDbSpl: z.number().min(30).max(120),
  /** Peak over RMS of this voice, dB */
  crestDb: z.number().min(0).max(40),
  order,
});
export type Person = z.infer<typeof personSchema>;

export const placeSchema = z.strictObject({ name: nameSchema, order });
export type Place = z.infer<typeof placeSchema>;

export const settingSchema = z.union([z.number(), z.boolean(), z.string().max(60)]);

export const deviceSchema = z.strictObject({
  name: nameSchema,
  model: modelSchema,
  /** Values of the model's controls; a control left out stands at its initial value */
  settings: z.record(idSchema, settingSchema),
  /** Whose microphone, camera or headphones it is */
  personId: idSchema.nullable(),
  placeId: idSchema.nullable(),
  order,
});
export type Device = z.infer<typeof deviceSchema>;

export const endSchema = z.strictObject({ deviceId: idSchema, portId: idSchema });
export type End = z.infer<typeof endSchema>;

export const runSchema = z.strictObject({ kind: z.enum(CABLE_IDS), lengthM: z.number().min(0).max(MAX_CABLE_M) });
export type CableRun = z.infer<typeof runSchema>;

export const linkSchema = z.strictObject({ from: endSchema, to: endSchema, cable: runSchema });
export type Link = z.infer<typeof linkSchema>;

export const rigSchema = z.strictObject({
  version: z.literal(RIG_VERSION),
  name: nameSchema,
  notes: z.string().max(20_000),
  houseRules: houseRulesSchema,
  people: z.record(idSchema, personSchema),
  places: z.record(idSchema, placeSchema),
  devices: z.record(idSchema, deviceSchema),
  links: z.record(idSchema, linkSchema),
});
/** The rig: one document, changed only by commands. */
export type Rig = z.infer<typeof rigSchema>;

export const DEFAULT_HOUSE_RULES: HouseRules = { recordingLevel: 'average -18', headroomDb: 6, minimumSnrDb: 50, reachWarnShare: 0.8 };
/** Normal speech of an unpractised talker, dB SPL at 1 m, and its crest. @source handbook 2-sound, after ISO 9921 */
export const DEFAULT_SPEECH = { speechDbSpl: 62, crestDb: 14 } as const;

/** Where the average and the peaks should stand at the converter. @unit dBFS */
export const levelTarget = (rules: HouseRules): { averageDbfs: number; peakDbfs: number } =>
  rules.recordingLevel === 'average -18' ? { averageDbfs: -18, peakDbfs: -6 } : { averageDbfs: -20, peakDbfs: -10 };

export const blankRig = (name: string): Rig => ({
  version: RIG_VERSION,
  name,
  notes: '',
  houseRules: { ...DEFAULT_HOUSE_RULES },
  people: {},
  places: {},
  devices: {},
  links: {},
});

/** Entries of a collection in the order they were added; ids settle ties, so the same rig always reads the same. */
export const inOrder = <T extends { order: number }>(collection: Readonly<Record<string, T>>): [string, T][] =>
  Object.entries(collection).sort(([idA, a], [idB, b]) => a.order - b.order || (idA < idB ? -1 : 1));

/** One entry of a collection by id, and only its own entries. */
export const entry = <T>(collection: Readonly<Record<string, T>>, id: string): T | undefined =>
  Object.hasOwn(collection, id) ? collection[id] : undefined;
