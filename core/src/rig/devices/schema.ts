import { z } from 'zod';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';
import { aimSchema, spotSchema } from '../room/schema';
import { standingSchema } from '../supports/schema';
import { modelSchema } from './checked-model';
import { OWNERSHIPS } from './ownership';

export const settingSchema = z.union([z.number(), z.boolean(), z.string().max(60)]);

/** Values of controls, by control. */
export const settingsSchema = z.record(idSchema, settingSchema);

export const deviceSchema = z.strictObject({
  name: nameSchema,
  model: modelSchema,
  /** Values of the model's controls; a control left out stands at its initial value */
  settings: settingsSchema,
  /** Whose microphone, camera or headphones it is */
  personId: idSchema.nullable(),
  placeId: idSchema.nullable(),
  /** Which of the brief's sights a camera or player shows */
  sightId: idSchema.nullable(),
  /** The lens on a camera that takes lenses; null = none of those in the rig */
  lensId: idSchema.nullable(),
  /** What was or will be paid, in the studio's currency; null = the class's typical price */
  price: z.number().min(0).max(1e9).nullable(),
  ownership: z.enum(OWNERSHIPS),
  /** Which of the studio's things it is; left out: nobody has said, or it is not there yet */
  thingId: idSchema.optional(),
  /** Where it stands by itself; a microphone with a person stands where its aim says */
  at: spotSchema.nullable(),
  /** Its middle above the floor, m, where it stands by itself; null = not said */
  heightM: z.number().min(0).max(100).nullable(),
  /** What it stands on, and where on it; then it stands nowhere else */
  on: standingSchema.nullable(),
  /** A microphone: how it stands to its person's mouth; null = straight in front and pointed at it */
  aim: aimSchema.nullable(),
  order: orderSchema,
});
export type Device = z.infer<typeof deviceSchema>;
/** A device as far as its knobs go: what it is, and how it is set. */
export type SetDevice = Pick<Device, 'name' | 'model' | 'settings'>;

export const MAX_DEVICES = 5000;
