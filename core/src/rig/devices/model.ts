import { z } from 'zod';
import { idSchema, nameSchema } from '../ids';
import { bodySchema } from './body';
import { cameraFiguresSchema, mixesSchema, storageSchema, workSchema } from './device-figures';
import { lightFiguresSchema } from './light-figures';
import { controlRef, decibels, portSchema, positive } from './ports';
import { soundRouteSchema } from './sound-model';
import { supplySchema } from './supply';

/** What a device is, for search and for the step of the chain it stands in. */
export const KINDS = [
  'camera',
  'webcam',
  'phone',
  'microphone',
  'instrument',
  'direct-box',
  'booster',
  'preamp',
  'channel-processor',
  'mixer',
  'stage-box',
  'interface',
  'headphone-amplifier',
  'headphones',
  'loudspeaker',
  'capture',
  'splitter',
  'selector',
  'converter',
  'switcher',
  'computer',
  'hub',
  'encoder',
  'recorder',
  'display',
  'prompter',
  'call',
  'stream',
  'recording',
  'player',
  'wireless',
  'light',
] as const;

export const kindSchema = z.enum(KINDS);

export type Kind = z.infer<typeof kindSchema>;

/** Steps of the chain, left to right on the loom. */
export const STEPS = [
  'source',
  'lift',
  'shape',
  'combine',
  'take in',
  'make',
  'deliver',
  'hear and see',
] as const;

export const stepSchema = z.enum(STEPS);

export type Step = z.infer<typeof stepSchema>;

export const pictureRouteSchema = z.discriminatedUnion('does', [
  z.strictObject({ does: z.literal('pass') }),
  /**
   * Everything leaves in the format of one control, which may say `first connected`; without a
   * scaler nothing else may enter
   */
  z.strictObject({
    does: z.literal('house format'),
    formatControl: controlRef,
    scaler: z.boolean(),
  }),
  /** Picture to USB: the format control may say `as received` */
  z.strictObject({
    does: z.literal('capture'),
    formatControl: controlRef,
    encodingControl: controlRef,
  }),
]);

export const routeSchema = z
  .strictObject({
    /** In-ports and out-ports: every `from` leads to every `to` */
    from: z.array(idSchema).min(1).max(256),
    to: z.array(idSchema).min(1).max(256),
    sound: soundRouteSchema.optional(),
    picture: pictureRouteSchema.optional(),
    /** Typical delay; null = unknown */
    delay: z
      .union([
        z.strictObject({ ms: z.number().min(0).max(60_000) }),
        z.strictObject({ frames: z.number().min(0).max(1000) }),
        /** As a person sets it: a control in ms */
        z.strictObject({ control: controlRef }),
      ])
      .nullable(),
    /** A mix-minus: what it carries never goes back to the device it came from */
    exceptSource: z.literal(true).optional(),
    /** Open only while this control has this value */
    when: z
      .strictObject({ control: controlRef, is: z.union([z.boolean(), z.string().max(60)]) })
      .optional(),
  })
  .refine((route) => route.sound || route.picture, {
    message: 'expected a route to carry sound, picture or both',
  });

export type Route = z.infer<typeof routeSchema>;

export type PictureRoute = z.infer<typeof pictureRouteSchema>;

export const controlSchema = z.discriminatedUnion('type', [
  z
    .strictObject({
      type: z.literal('gain'),
      label: nameSchema,
      minDb: decibels,
      maxDb: decibels,
      stepDb: z.number().positive().max(60),
      initial: decibels,
    })
    .refine((c) => c.minDb <= c.initial && c.initial <= c.maxDb, {
      message: 'expected minDb ≤ initial ≤ maxDb',
    }),
  z.strictObject({ type: z.literal('switch'), label: nameSchema, initial: z.boolean() }),
  z
    .strictObject({
      type: z.literal('choice'),
      label: nameSchema,
      options: z
        .array(z.strictObject({ value: z.string().min(1).max(60), label: nameSchema }))
        .min(1)
        .max(64),
      initial: z.string(),
    })
    .refine((c) => c.options.some((o) => o.value === c.initial), {
      message: 'expected initial to be one of the options',
    }),
  z
    .strictObject({
      type: z.literal('amount'),
      label: nameSchema,
      unit: z.string().max(12),
      min: z.number(),
      max: z.number(),
      step: z.number().positive(),
      initial: z.number(),
    })
    .refine((c) => c.min <= c.initial && c.initial <= c.max, {
      message: 'expected min ≤ initial ≤ max',
    }),
]);

export type Control = z.infer<typeof controlSchema>;

export type ControlValue = number | boolean | string;

/** The fields of a device model. What one field cannot be wrong about alone, `checked-model.ts` sees. */
export const modelFields = z.strictObject({
  /** The catalogue class it was copied from; null for one described from nothing */
  classId: idSchema.nullable(),
  /** The model of the studio's library it was made from, and which version of it; left out, from none */
  own: z
    .strictObject({ modelId: idSchema, version: z.number().int().min(1).max(1_000_000) })
    .optional(),
  name: nameSchema,
  kind: kindSchema,
  step: stepSchema,
  about: z.string().max(400),
  /** What one of the class usually costs, in the studio's currency; null = not known */
  typicalPrice: z.number().min(0).max(1e9).nullable(),
  ports: z.record(idSchema, portSchema),
  routes: z.record(idSchema, routeSchema),
  controls: z.record(idSchema, controlSchema),
  /** Its size and mass; left out, those typical of its class count */
  body: bodySchema.optional(),
  /** What it runs on; left out, what is typical of its class counts */
  supply: supplySchema.optional(),
  camera: cameraFiguresSchema.optional(),
  light: lightFiguresSchema.optional(),
  mixes: mixesSchema.optional(),
  storage: storageSchema.optional(),
  work: workSchema.optional(),
  /** Switch that says whether its own power supply is plugged in; only for a device that does nothing without one */
  supplyControl: controlRef.optional(),
  /** What runs it while nothing is plugged in, and for how long, min */
  battery: z.strictObject({ lastsMin: positive }).optional(),
  /** Switch that says whether a clamp holds the cable of a small socket */
  clampControl: controlRef.optional(),
  /** Paths of the figures taken from a data sheet or measured; every other figure is typical of the class */
  stated: z.array(z.string().max(200)).max(500),
  /** Usual range of a typical figure across devices of the class, by its path */
  spread: z.record(z.string().max(200), z.tuple([z.number(), z.number()])),
});

/** A device model. */
export type Model = z.infer<typeof modelFields>;
