import { z } from 'zod';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';

/** What the show is switched with, where that is more than one thing: a pedal here, a tablet there. */

export const HAND_KINDS = ['panel', 'pedal', 'tablet', 'keyboard'] as const;

export const handSchema = z.strictObject({
  name: nameSchema,
  is: z.enum(HAND_KINDS),
  /** Buttons or switches it has; null = as many as are put on it */
  keys: z.number().int().min(1).max(200).nullable(),
  /** Who has it before them */
  personId: idSchema.nullable(),
  order: orderSchema,
});
export type Hand = z.infer<typeof handSchema>;
