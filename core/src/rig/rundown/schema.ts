import { z } from 'zod';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';

/** The show in the order it is done in. */

/** @unit s */
export const lengthSchema = z
  .number()
  .int()
  .min(1)
  .max(24 * 3600);

export const segmentSchema = z.strictObject({
  title: nameSchema,
  lengthS: lengthSchema,
  /** null: whatever scene is on */
  sceneId: idSchema.nullable(),
  /** null: whoever the scene lets be heard */
  heard: z.array(idSchema).max(100).nullable(),
  /** The words or the sign it begins on */
  cue: z.string().trim().max(200),
  notes: z.string().trim().max(2000),
  order: orderSchema,
});
export type Segment = z.infer<typeof segmentSchema>;

/** A time of day: `19:30` or `19:30:15`. */
export const timeOfDaySchema = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d(:[0-5]\d)?$/);
