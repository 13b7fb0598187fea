import { z } from 'zod';
import { hadSchema } from '../devices/ownership';
import { nameSchema } from '../ids';
import { CABLE_IDS } from '../links/cables';
import { DRESSINGS } from '../links/schema';
import { orderSchema } from '../order';
import { placeInRoomSchema } from '../room/schema';

/** Where cables may lie in a room, how they are laid, and which ones are there already. Lengths in metres. */

export const CABLE_WAY_KINDS = [
  'floor edge',
  'floor',
  'cover',
  'duct',
  'tray',
  'wall',
  'overhead',
] as const;
export type CableWayKind = (typeof CABLE_WAY_KINDS)[number];

/** What may lie in a way. */
export const CARRIES = ['both', 'signal', 'mains'] as const;

export const cableWaySchema = z.strictObject({
  name: nameSchema,
  is: z.enum(CABLE_WAY_KINDS),
  /** From end to end, straight from point to point */
  points: z.array(placeInRoomSchema).min(2).max(64),
  /** What it holds inside, mm²; null = open, or nobody has said */
  insideMm2: z.number().positive().max(1e6).nullable(),
  /** Tightest bend in it, radius on the inside, mm; null = nobody has said */
  bendMm: z.number().positive().max(10_000).nullable(),
  carries: z.enum(CARRIES),
  /** Left out: it is there already */
  had: hadSchema.optional(),
  order: orderSchema,
});
export type CableWay = z.infer<typeof cableWaySchema>;

/** How cables are laid where nothing else is said. */
export const layingSchema = z.strictObject({
  /** Along the foot of every wall */
  alongWalls: z.boolean(),
  /** Straight over open floor where that is shorter */
  openFloor: z.boolean(),
  dressing: z.enum(DRESSINGS),
});
export type Laying = z.infer<typeof layingSchema>;

export const USUAL_LAYING: Laying = {
  alongWalls: true,
  openFloor: false,
  dressing: 'reopenable',
};

/** Cables that are in the box already. */
export const ownCableSchema = z.strictObject({
  kind: z.enum(CABLE_IDS),
  lengthM: z.number().positive().max(1000),
  count: z.number().int().min(1).max(1000),
  order: orderSchema,
});
export type OwnCable = z.infer<typeof ownCableSchema>;

/** What is written on a cable. */
export const cableNumberSchema = z.number().int().min(1).max(99_999);

/** Numbers are never given again: those of cables that are gone count too. */
export const MAX_NUMBERED = 60_000;
