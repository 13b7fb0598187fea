import { z } from 'zod';
import { nameSchema } from '../ids';
import { orderSchema } from '../order';

/** The days the rig is used on: what stands in it cannot be elsewhere on the same day. */

export const showSchema = z.strictObject({
  name: nameSchema,
  on: z.iso.date(),
  order: orderSchema,
});
export type Show = z.infer<typeof showSchema>;
