import { z } from 'zod';
import { nameSchema } from '../ids';
import { orderSchema } from '../order';
import { pointSchema } from '../room/schema';

/** Octave bands that room sound is told in. @unit Hz */
export const BANDS_HZ = [125, 250, 500, 1000, 2000, 4000] as const;

/** Share of the sound that is not sent back. Measured figures above 1 are the edges of a sample, and count as 1. */
const share = z.number().min(0).max(1);
/** A share for each of `BANDS_HZ` */
export const absorptionSchema = z.tuple([share, share, share, share, share, share]);
export type Absorption = z.infer<typeof absorptionSchema>;

/** What a boundary of the room is made of, where nothing hangs before it. */
export const finishSchema = z.strictObject({ name: nameSchema, absorption: absorptionSchema });
export type Finish = z.infer<typeof finishSchema>;

/** The parts of a room that something can cover. */
export const BOUNDARIES = ['floor', 'ceiling', 'walls'] as const;
export type Boundary = (typeof BOUNDARIES)[number];

/** Most corners of a room. */
export const MAX_CORNERS = 64;

/** The room itself: its outline on the plan, its height and what it is made of. */
export const shellSchema = z.strictObject({
  /** In their order round the room, either way */
  corners: z.array(pointSchema).min(3).max(MAX_CORNERS),
  heightM: z.number().positive().max(100),
  floor: finishSchema,
  ceiling: finishSchema,
  walls: finishSchema,
});
export type Shell = z.infer<typeof shellSchema>;

/** Something in the room that takes up sound: a panel, a curtain, a window, people. */
export const surfaceSchema = z.strictObject({
  name: nameSchema,
  /** What it covers; `nothing` where it stands free in the room */
  covers: z.enum([...BOUNDARIES, 'nothing']),
  /** @unit m² */
  areaM2: z.number().positive().max(1e5),
  absorption: absorptionSchema,
  order: orderSchema,
});
export type Surface = z.infer<typeof surfaceSchema>;
