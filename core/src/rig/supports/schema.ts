import { z } from 'zod';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';
import { spotSchema } from '../room/schema';

/** What carries devices: a desk, a rack, a stand, an arm, a grid. Lengths in metres, masses in kilograms. */

const lengthM = z.number().positive().max(100);
const heightM = z.number().min(0).max(100);
const massKg = z.number().min(0).max(100_000);

/** Height of one unit of a rack. @unit m @source IEC 60297-3-100 */
export const RACK_UNIT_M = 0.04445;

const deskSchema = z.strictObject({
  is: z.literal('desk'),
  widthM: lengthM,
  depthM: lengthM,
  /** Its top as it stands now */
  topM: heightM,
  /** Lowest and highest its top goes; both are `topM` where it is fixed */
  lowestM: heightM,
  highestM: heightM,
  /** Thickness of its edge, where clamps go */
  edgeMm: z.number().positive().max(500),
  bearsKg: massKg,
  /** Whether it rolls */
  rolls: z.boolean(),
});

const rackSchema = z.strictObject({
  is: z.literal('rack'),
  units: z.number().int().min(1).max(60),
  widthM: lengthM,
  depthM: lengthM,
  /** Its lowest unit above the floor */
  bottomM: heightM,
  bearsKg: massKg,
});

const standSchema = z.strictObject({
  is: z.literal('stand'),
  /** How many feet; 0 for a round plate */
  feet: z.number().int().min(0).max(8),
  /** From the column to a foot, or the radius of the plate */
  legM: lengthM,
  massKg,
  /** Where it carries */
  heightM,
  /** Most that its head or top bears */
  bearsKg: massKg,
  /** An arm that reaches out from the column, level; null where it carries on the column itself */
  out: z
    .strictObject({
      reachM: lengthM,
      massKg,
      /** Where its own weight pulls, from the column */
      massAtM: heightM,
    })
    .nullable(),
  /** Bag on the foot that lies farthest from where it would tip */
  ballastKg: massKg,
  /** Weight on the other end of its arm, and how far from the column */
  counterKg: massKg,
  counterAtM: heightM,
});

const armSchema = z.strictObject({
  is: z.literal('arm'),
  /** From its clamp to its end, stretched */
  reachM: lengthM,
  /** What its springs hold still */
  leastKg: massKg,
  mostKg: massKg,
  /** Edges that its clamp fits */
  clampLeastMm: z.number().min(0).max(500),
  clampMostMm: z.number().positive().max(500),
});

const overheadSchema = z.strictObject({
  is: z.literal('overhead'),
  widthM: lengthM,
  depthM: lengthM,
  /** Its underside */
  heightM,
  bearsKg: massKg,
  /** Whether everything on it has a second, rated fixing */
  hasSecondFixing: z.boolean(),
});

const wallSchema = z.strictObject({ is: z.literal('wall'), heightM, bearsKg: massKg });

export const supportFiguresSchema = z.discriminatedUnion('is', [
  deskSchema,
  rackSchema,
  standSchema,
  armSchema,
  overheadSchema,
  wallSchema,
]);
export type SupportFigures = z.infer<typeof supportFiguresSchema>;
export type SupportOf<Is extends SupportFigures['is']> = Extract<SupportFigures, { is: Is }>;

export const supportSchema = z.strictObject({
  name: nameSchema,
  /** Its middle, or its column, or its clamp; null where nobody has said */
  at: spotSchema.nullable(),
  /** The desk that an arm is clamped to */
  onId: idSchema.nullable(),
  figures: supportFiguresSchema,
  order: orderSchema,
});
export type Support = z.infer<typeof supportSchema>;

const asideM = z.number().min(-100).max(100);

/** How a device stands on a support: it goes where its support goes. */
export const standingSchema = z.strictObject({
  supportId: idSchema,
  /** To the right of the support's middle and towards where it faces, m */
  xM: asideM,
  yM: asideM,
  /** Clockwise from the way the support faces */
  turnDeg: z.number().min(-360).max(360),
  /** Its underside over the surface that carries it, m; in a rack, over its lowest unit */
  upM: asideM,
});
export type Standing = z.infer<typeof standingSchema>;
