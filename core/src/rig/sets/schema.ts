import { z } from 'zod';
import { standingSchema } from '../supports/schema';
import { settingsSchema } from '../devices/schema';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';
import { aimSchema, pointSchema, spotSchema } from '../room/schema';

/** Where everything stands for one look of the show: several sets share a room and its gear. */
export const setSchema = z.strictObject({
  name: nameSchema,
  people: z.record(idSchema, spotSchema.nullable()),
  supports: z.record(idSchema, spotSchema.nullable()),
  noises: z.record(idSchema, pointSchema.nullable()),
  devices: z.record(
    idSchema,
    z.strictObject({
      at: spotSchema.nullable(),
      heightM: z.number().min(0).max(100).nullable(),
      on: standingSchema.nullable(),
      aim: aimSchema.nullable(),
    }),
  ),
  /** How devices are set for it, by device and control; left out: sets share one way of being set */
  settings: z.record(idSchema, settingsSchema).optional(),
  /** What coming to it took before anybody reckoned. @unit min; left out: nobody has said */
  byHandMin: z.number().positive().max(600).optional(),
  order: orderSchema,
});
export type StageSet = z.infer<typeof setSchema>;
