import { z } from 'zod';
import { idSchema } from '../ids';
import { orderSchema } from '../order';
import { recordingSchema } from '../readings/schema';

/** What is set, known and measured of time. Delays in milliseconds; sound minus picture, late is positive. */

/** The longest delay that anybody sets or measures. @unit ms */
export const MOST_DELAY_MS = 10_000;

const signalSchema = z.enum(['sound', 'picture']);

/** Between what a house lets sound be before and after its picture on air. */
export const timeRulesSchema = z.strictObject({
  earlyMs: z.number().min(1).max(500),
  lateMs: z.number().min(1).max(500),
});
export type TimeRules = z.infer<typeof timeRulesSchema>;
/** @source handbook 4: 40 ms early, 60 ms late at emission (EBU R 37) */
export const USUAL_TIME_RULES: TimeRules = { earlyMs: 40, lateMs: 60 };

/** A delay set on purpose at one socket of a device. */
export const setDelaySchema = z.strictObject({
  portId: idSchema,
  signal: signalSchema,
  ms: z.number().positive().max(MOST_DELAY_MS),
});
export type SetDelay = z.infer<typeof setDelaySchema>;

const dateSchema = z.iso.date().nullable();
const spreadMs = z.number().min(0).max(1000);
/** How everything was set that matters, in words: once it reads otherwise the figure no longer holds. */
const heldWhileSchema = z.string().max(20_000);

/** How long a device takes, from a data sheet or measured, in place of what is typical. */
export const knownDelaySchema = z.strictObject({
  deviceId: idSchema,
  /** A route of its model; null = a source itself, from what happens to its socket */
  routeId: idSchema.nullable(),
  ms: z.number().min(0).max(MOST_DELAY_MS),
  spreadMs,
  by: z.enum(['data sheet', 'measured']),
  on: dateSchema,
  heldWhile: heldWhileSchema,
  order: orderSchema,
});
export type KnownDelay = z.infer<typeof knownDelaySchema>;

/** How far sound and picture were measured to be apart at one place. */
export const offsetSchema = z.strictObject({
  /** The source of the sound, the source of the picture, and where they meet */
  soundId: idSchema,
  pictureId: idSchema,
  placeId: idSchema,
  offsetMs: z.number().min(-MOST_DELAY_MS).max(MOST_DELAY_MS),
  spreadMs,
  /** What delays set on purpose put between the two when it was measured, sound less picture */
  setMs: z.number().min(-MOST_DELAY_MS).max(MOST_DELAY_MS),
  on: dateSchema,
  heldWhile: heldWhileSchema,
  /** The same by devices and what they are, whatever they are called; what was kept before had none */
  heldBy: z.string().max(20_000).optional(),
  file: recordingSchema.nullable(),
  order: orderSchema,
});
export type Offset = z.infer<typeof offsetSchema>;

/** Delays that are set at one device, at most. */
export const MOST_SET = 256;
