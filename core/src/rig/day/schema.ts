import { z } from 'zod';
import { nameSchema } from '../ids';
import { orderSchema } from '../order';

/** What the house knows of its own days: minutes that were measured, its own lines of checklists, its tape. */

/** Parts of the day that have a checklist, in the order of the day. */
export const PHASES = ['set up', 'test', 'go live', 'during', 'strike'] as const;
export type Phase = (typeof PHASES)[number];

export const TAPES = [
  'white',
  'yellow',
  'orange',
  'red',
  'pink',
  'violet',
  'blue',
  'green',
  'grey',
] as const;
export type Tape = (typeof TAPES)[number];

/** What a task of a change-over is known by: `support tripod`, `cables mixer`. */
export const taskIdSchema = z
  .string()
  .regex(/^(support|device|cables|lamp|setting) [a-z0-9-]{1,48}$|^check$/);

/** Most times a task is remembered; the oldest goes first. */
export const MOST_TIMES = 12;
/** @unit min */
export const taskMinutesSchema = z.number().positive().max(600);

export const houseLineSchema = z.strictObject({
  phase: z.enum(PHASES),
  what: nameSchema,
  where: z.string().trim().max(120),
  who: z.string().trim().max(80),
  why: z.string().trim().max(300),
  /** Nobody goes live while it is open */
  isMust: z.boolean(),
  order: orderSchema,
});
export type HouseLine = z.infer<typeof houseLineSchema>;
