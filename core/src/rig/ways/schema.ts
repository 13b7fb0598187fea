import { z } from 'zod';
import { nameSchema } from '../ids';
import { orderSchema } from '../order';
import { pointSchema } from '../room/schema';

/** What is in the walls of a room, and where people walk. Lengths in metres. */

export const OPENINGS = ['door', 'window', 'outlet', 'network socket'] as const;

export const openingSchema = z.strictObject({
  name: nameSchema,
  what: z.enum(OPENINGS),
  /** Which wall, from 0: the one that leaves that corner */
  wall: z.number().int().min(0).max(63),
  /** Its middle along that wall, from the corner the wall leaves */
  alongM: z.number().min(0).max(1000),
  widthM: z.number().positive().max(100),
  /** Its lower edge above the floor */
  bottomM: z.number().min(0).max(100),
  heightM: z.number().positive().max(100),
  /** Where a door swings; `no` for what does not open */
  opens: z.enum(['in', 'out', 'slides', 'no']),
  order: orderSchema,
});
export type Opening = z.infer<typeof openingSchema>;

/** A way that must stay free, straight from a point to a point. */
export const walkwaySchema = z.strictObject({
  name: nameSchema,
  from: pointSchema,
  to: pointSchema,
  widthM: z.number().positive().max(20),
  order: orderSchema,
});
export type Walkway = z.infer<typeof walkwaySchema>;
