import { z } from 'zod';
import { idSchema, nameSchema } from './ids';
import { modelSchema } from './model';
import { briefSchema, deliverableSchema, sightSchema } from './brief';
import { houseRulesSchema } from './house';
import { aimSchema, noiseSchema, roomSchema, spotSchema } from './room';
import { buttonSchema, panelSchema, sceneSchema, shotPlanSchema } from './programme';
import { endSchema, OWNERSHIPS, personSchema, placeSchema, runSchema, settingSchema } from './rig';

const personFields = personSchema.omit({ order: true });
const sightFields = sightSchema.omit({ order: true });
const deliverableFields = deliverableSchema.omit({ order: true });
const shotFields = shotPlanSchema.omit({ order: true });
const sceneFields = sceneSchema.omit({ order: true });
const buttonFields = buttonSchema.omit({ order: true });
const noiseFields = noiseSchema.omit({ order: true });
const placeFields = placeSchema.omit({ order: true });

/** Longest label of an undo or redo; a longer sentence is shortened. */
export const MAX_LABEL = 400;
/** Most places that one entry of the log changes: 500 devices that go with every cable in them stay far below */
const MAX_CHANGES = 100_000;

/**
 * Changes that stand alone. Ids of new things come with the command, so that every side that
 * applies it gets the same rig.
 */
const simpleCommands = [
  z.strictObject({ type: z.literal('renameRig'), name: nameSchema }),
  z.strictObject({ type: z.literal('writeNotes'), notes: z.string().max(20_000) }),
  z.strictObject({ type: z.literal('setHouseRules'), rules: houseRulesSchema.partial() }),
  /** Begins a brief, or replaces its answers; its sights and deliverables have commands of their own */
  z.strictObject({
    type: z.literal('writeBrief'),
    brief: briefSchema.omit({ sights: true, deliverables: true }).partial(),
  }),
  z.strictObject({ type: z.literal('addSight'), sightId: idSchema, sight: sightFields }),
  z.strictObject({
    type: z.literal('changeSight'),
    sightId: idSchema,
    sight: sightFields.partial(),
  }),
  z.strictObject({ type: z.literal('removeSight'), sightId: idSchema }),
  z.strictObject({
    type: z.literal('addDeliverable'),
    deliverableId: idSchema,
    deliverable: deliverableFields,
  }),
  z.strictObject({
    type: z.literal('changeDeliverable'),
    deliverableId: idSchema,
    deliverable: deliverableFields.partial(),
  }),
  z.strictObject({ type: z.literal('removeDeliverable'), deliverableId: idSchema }),
  z.strictObject({ type: z.literal('addPerson'), personId: idSchema, person: personFields }),
  z.strictObject({
    type: z.literal('changePerson'),
    personId: idSchema,
    person: personFields.partial(),
  }),
  z.strictObject({ type: z.literal('removePerson'), personId: idSchema }),
  z.strictObject({ type: z.literal('addPlace'), placeId: idSchema, place: placeFields }),
  z.strictObject({ type: z.literal('renamePlace'), placeId: idSchema, name: nameSchema }),
  z.strictObject({ type: z.literal('removePlace'), placeId: idSchema }),
  z.strictObject({
    type: z.literal('addDevice'),
    deviceId: idSchema,
    name: nameSchema,
    model: modelSchema,
    settings: z.record(idSchema, settingSchema),
    personId: idSchema.nullable(),
    placeId: idSchema.nullable(),
  }),
  z.strictObject({ type: z.literal('removeDevice'), deviceId: idSchema }),
  z.strictObject({ type: z.literal('renameDevice'), deviceId: idSchema, name: nameSchema }),
  z.strictObject({
    type: z.literal('assignDevice'),
    deviceId: idSchema,
    personId: idSchema.nullable(),
    placeId: idSchema.nullable(),
  }),
  /** Says which sight of the brief a camera or player shows */
  z.strictObject({
    type: z.literal('showSight'),
    deviceId: idSchema,
    sightId: idSchema.nullable(),
  }),
  /** Says where a device stands, or how a microphone stands to its mouth */
  z.strictObject({
    type: z.literal('placeDevice'),
    deviceId: idSchema,
    at: spotSchema.nullable(),
    aim: aimSchema.nullable(),
  }),
  z.strictObject({ type: z.literal('setRoom'), room: roomSchema.partial() }),
  z.strictObject({ type: z.literal('addNoise'), noiseId: idSchema, noise: noiseFields }),
  z.strictObject({
    type: z.literal('changeNoise'),
    noiseId: idSchema,
    noise: noiseFields.partial(),
  }),
  z.strictObject({ type: z.literal('removeNoise'), noiseId: idSchema }),
  z.strictObject({
    type: z.literal('setOwnership'),
    deviceId: idSchema,
    ownership: z.enum(OWNERSHIPS),
    price: z.number().min(0).max(1e9).nullable(),
  }),
  z.strictObject({
    type: z.literal('setControl'),
    deviceId: idSchema,
    control: idSchema,
    value: settingSchema,
  }),
  z.strictObject({
    /** Types a data-sheet figure over the typical one: `ports.in-1.inputOhms` */
    type: z.literal('setFigure'),
    deviceId: idSchema,
    path: z.string().max(200),
    value: z.number().nullable(),
  }),
  z.strictObject({
    type: z.literal('connect'),
    linkId: idSchema,
    from: endSchema,
    to: endSchema,
    cable: runSchema,
  }),
  z.strictObject({ type: z.literal('disconnect'), linkId: idSchema }),
  /** Puts another model in a device's place: cables and settings that fit stay */
  z.strictObject({ type: z.literal('replaceModel'), deviceId: idSchema, model: modelSchema }),
  z.strictObject({ type: z.literal('addShot'), shotId: idSchema, shot: shotFields }),
  z.strictObject({ type: z.literal('changeShot'), shotId: idSchema, shot: shotFields.partial() }),
  z.strictObject({ type: z.literal('removeShot'), shotId: idSchema }),
  z.strictObject({ type: z.literal('addScene'), sceneId: idSchema, scene: sceneFields }),
  z.strictObject({
    type: z.literal('changeScene'),
    sceneId: idSchema,
    scene: sceneFields.partial(),
  }),
  z.strictObject({ type: z.literal('removeScene'), sceneId: idSchema }),
  z.strictObject({ type: z.literal('setPanel'), columns: panelSchema.shape.columns }),
  z.strictObject({ type: z.literal('addButton'), buttonId: idSchema, button: buttonFields }),
  z.strictObject({
    type: z.literal('changeButton'),
    buttonId: idSchema,
    button: buttonFields.partial(),
  }),
  z.strictObject({ type: z.literal('removeButton'), buttonId: idSchema }),
  z.strictObject({ type: z.literal('setCable'), linkId: idSchema, cable: runSchema }),
] as const;

const simpleCommandSchema = z.discriminatedUnion('type', simpleCommands);
export type SimpleCommand = z.infer<typeof simpleCommandSchema>;

/**
 * One place in the document that a command changed, with what stood there and what stands there
 * now. Absent = not there.
 */
export const changeSchema = z.strictObject({
  path: z.array(z.string().max(200)).min(1).max(12),
  before: z.json().optional(),
  after: z.json().optional(),
});
export type Change = z.infer<typeof changeSchema>;

/** Everything that can change a rig. */
export const commandSchema = z.discriminatedUnion('type', [
  ...simpleCommands,
  /** Several changes that belong together: all or none, one line of history. */
  z.strictObject({
    type: z.literal('batch'),
    label: z.string().min(1).max(200),
    commands: z.array(simpleCommandSchema).min(1).max(500),
  }),
  /** Undo or redo of an earlier entry of the log: puts back what stood there, unless someone has changed it since. */
  z.strictObject({
    type: z.literal('revert'),
    does: z.enum(['undo', 'redo']),
    entryId: z.string().min(1).max(64),
    label: z.string().min(1).max(MAX_LABEL),
    changes: z.array(changeSchema).min(1).max(MAX_CHANGES),
  }),
]);
export type Command = z.infer<typeof commandSchema>;

/** Undo or redo as it is asked for: by the entry alone. What it puts back is for the log to say, not for who asks. */
export const askedRevertSchema = z.strictObject({
  type: z.literal('revert'),
  does: z.enum(['undo', 'redo']),
  entryId: z.string().regex(/^[\w-]{1,64}$/),
});
export type AskedRevert = z.infer<typeof askedRevertSchema>;

/** A command as it is sent and kept until it is saved. */
export type AskedCommand = Exclude<Command, { type: 'revert' }> | AskedRevert;
