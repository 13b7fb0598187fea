import { z } from 'zod';
import { idSchema } from '../ids';
import { CABLE_IDS } from './cables';

export const MAX_LINKS = 20_000;

/** Longest cable a document may hold. @unit m */
export const MAX_CABLE_M = 5000;

export const endSchema = z.strictObject({ deviceId: idSchema, portId: idSchema });
export type End = z.infer<typeof endSchema>;

export const runSchema = z.strictObject({
  kind: z.enum(CABLE_IDS),
  lengthM: z.number().min(0).max(MAX_CABLE_M),
});
export type CableRun = z.infer<typeof runSchema>;

/** How a cable is held: opened again by hand, fixed for good, or loose. */
export const DRESSINGS = ['reopenable', 'fixed', 'loose'] as const;
export type Dressing = (typeof DRESSINGS)[number];

/** So many ways a cable may be told to lie in. */
export const MOST_BY = 8;

export const laySchema = z.strictObject({
  /** null = as all are */
  dressing: z.enum(DRESSINGS).nullable(),
  /** Goes round what people walk on, however far */
  keepsOff: z.boolean(),
  /** Ways it lies in, one after the other from where it begins; left out: whatever is shortest */
  by: z.array(idSchema).min(1).max(MOST_BY).optional(),
});
export type Lay = z.infer<typeof laySchema>;

export const linkSchema = z.strictObject({
  from: endSchema,
  to: endSchema,
  cable: runSchema,
  /** Left out: it is laid as all are */
  lay: laySchema.optional(),
});
export type Link = z.infer<typeof linkSchema>;
