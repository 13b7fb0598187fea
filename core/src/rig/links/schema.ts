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

export const linkSchema = z.strictObject({ from: endSchema, to: endSchema, cable: runSchema });
export type Link = z.infer<typeof linkSchema>;
