import { z } from 'zod';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';

/** Settings that nothing is computed with and that are worth repeating: in menus, of people, of the room. */

export const reminderSchema = z.strictObject({
  /** Whose it is; neither, and it is the room's */
  deviceId: idSchema.nullable(),
  personId: idSchema.nullable(),
  /** What is to be set: “Clean output” */
  what: nameSchema,
  /** And how: “on” */
  value: z.string().trim().min(1).max(120),
  order: orderSchema,
});
export type Reminder = z.infer<typeof reminderSchema>;
