import { z } from 'zod';
import { hadSchema } from '../devices/ownership';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';
import { pointSchema } from '../room/schema';

/** What the mains of a room gives, and what hangs on it. */

export const circuitSchema = z.strictObject({
  name: nameSchema,
  /** What its breaker lets through. @unit A */
  breakerA: z.number().positive().max(400),
  order: orderSchema,
});
export type Circuit = z.infer<typeof circuitSchema>;

const sockets = z.number().int().min(1).max(48);
const mostA = z.number().positive().max(400);

export const feedFiguresSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('outlet'), sockets, mostA: mostA.nullable() }),
  /** A strip, a reel or a distribution unit */
  z.strictObject({ is: z.literal('strip'), sockets, mostA: mostA.nullable() }),
  /** A supply that lasts when the mains goes */
  z.strictObject({
    is: z.literal('ups'),
    sockets,
    mostW: z.number().positive().max(100_000),
    mostVa: z.number().positive().max(100_000),
    /** What its battery holds. @unit Wh */
    wh: z.number().positive().max(100_000),
    efficiency: z.number().min(0.3).max(1),
  }),
]);
export type FeedFigures = z.infer<typeof feedFiguresSchema>;

/** What something is fed by. */
export const fedBySchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('circuit'), circuitId: idSchema }),
  z.strictObject({ by: z.literal('feed'), feedId: idSchema }),
]);
export type FedBy = z.infer<typeof fedBySchema>;

export const feedSchema = z.strictObject({
  name: nameSchema,
  figures: feedFiguresSchema,
  /** null = plugged in nowhere, or nobody has said */
  from: fedBySchema.nullable(),
  at: pointSchema.nullable(),
  /** Left out: it is owned */
  had: hadSchema.optional(),
  order: orderSchema,
});
export type Feed = z.infer<typeof feedSchema>;

/** What a charger of batteries does. */
export const chargerSchema = z.strictObject({
  slots: z.number().int().min(1).max(24),
  /** How long a full charge takes. @unit h */
  chargeH: z.number().min(0.1).max(48),
});
export type Charger = z.infer<typeof chargerSchema>;

/** Something on the mains that is no device of the chain: a kiln, a heater, lamps, a charger. */
export const loadSchema = z.strictObject({
  name: nameSchema,
  /** @unit W */
  mostW: z.number().min(0).max(100_000),
  /** null = 1, as a heater has */
  powerFactor: z.number().min(0.1).max(1).nullable(),
  from: fedBySchema.nullable(),
  /** Whether it is on during the show */
  runs: z.boolean(),
  /** Left out: it charges no batteries */
  charges: chargerSchema.optional(),
  /** Left out: it is owned */
  had: hadSchema.optional(),
  order: orderSchema,
});
export type Load = z.infer<typeof loadSchema>;

/** What is asked of the mains. */
export const powerRulesSchema = z.strictObject({
  /** Share of a breaker that may be used for hours */
  breakerShare: z.number().min(0.1).max(1),
  /** How long a supply that lasts must carry what the show needs. @unit min */
  lastsMin: z.number().min(0).max(600),
  /** A long day, for counting batteries. @unit h */
  dayH: z.number().min(1).max(24),
  /** Changes of the room's air an hour while the ventilation is off; null = not known */
  airChanges: z.number().min(0.05).max(50).nullable(),
});
export type PowerRules = z.infer<typeof powerRulesSchema>;

/** @source handbook 5, Power */
export const USUAL_POWER_RULES: PowerRules = {
  breakerShare: 0.8,
  lastsMin: 10,
  dayH: 8,
  airChanges: null,
};
