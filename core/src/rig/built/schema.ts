import { z } from 'zod';
import { settingSchema } from '../devices/schema';
import { idSchema, nameSchema } from '../ids';
import { endSchema, runSchema } from '../links/schema';
import { aimSchema, spotSchema } from '../room/schema';
import { standingSchema } from '../supports/schema';

/** What was found on the real thing, beside what the plan says: by whom, and when. */

const placedSchema = z.strictObject({
  at: spotSchema.nullable(),
  heightM: z.number().min(0).max(100).nullable(),
  on: standingSchema.nullable(),
  aim: aimSchema.nullable(),
});
export type Placed = z.infer<typeof placedSchema>;

const foundCableSchema = z.strictObject({ from: endSchema, to: endSchema, cable: runSchema });
export type FoundCable = z.infer<typeof foundCableSchema>;

const tickOf = <Found extends z.ZodType>(found: Found) =>
  z.strictObject({
    found,
    by: nameSchema,
    /** UTC, to the second or finer */
    when: z.iso.datetime(),
  });

/** Device and control, joined by a full stop, which neither has in it. */
export const settingKeySchema = z.string().regex(/^[a-z0-9-]{1,48}\.[a-z0-9-]{1,48}$/);
export const settingKey = (deviceId: string, control: string): string => `${deviceId}.${control}`;

export const builtSchema = z.strictObject({
  /** By device and control */
  settings: z.record(settingKeySchema, tickOf(settingSchema)),
  /** By connection */
  cables: z.record(idSchema, tickOf(foundCableSchema)),
  /** By device */
  places: z.record(idSchema, tickOf(placedSchema)),
  /** By what carries */
  supports: z.record(idSchema, tickOf(spotSchema.nullable())),
});
export type Built = z.infer<typeof builtSchema>;
export type BuiltPart = keyof Built;

/** What is ticked, and what was found there. */
export const foundSchema = z.discriminatedUnion('part', [
  z.strictObject({
    part: z.literal('settings'),
    deviceId: idSchema,
    control: idSchema,
    found: settingSchema,
  }),
  z.strictObject({ part: z.literal('cables'), linkId: idSchema, found: foundCableSchema }),
  z.strictObject({ part: z.literal('places'), deviceId: idSchema, found: placedSchema }),
  z.strictObject({
    part: z.literal('supports'),
    supportId: idSchema,
    found: spotSchema.nullable(),
  }),
]);
export type Found = z.infer<typeof foundSchema>;

/** Where in the document a tick is kept. */
export const keyOfFound = (found: Found): string => {
  switch (found.part) {
    case 'settings':
      return settingKey(found.deviceId, found.control);
    case 'cables':
      return found.linkId;
    case 'places':
      return found.deviceId;
    case 'supports':
      return found.supportId;
  }
};
