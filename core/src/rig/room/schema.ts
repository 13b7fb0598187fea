import { z } from 'zod';
import { nameSchema } from '../ids';
import { orderSchema } from '../order';

/** The room as sound meets it: its size and echo, where people and things stand, and what makes noise. */

const metres = z.number().min(-1000).max(1000);
const degrees = z.number().min(-360).max(360);

/** A point on the floor plan: x to the right, y up the plan, m. */
export const pointSchema = z.strictObject({ xM: metres, yM: metres });
export type Point = z.infer<typeof pointSchema>;

/** A point and which way something there looks: 0° up the plan, clockwise. */
export const spotSchema = z.strictObject({ xM: metres, yM: metres, facingDeg: degrees });
export type Spot = z.infer<typeof spotSchema>;

/** A point in the room: a point on the plan, and its height above the floor, m. */
export const placeInRoomSchema = pointSchema.extend({ zM: z.number().min(0).max(100) });
export type PlaceInRoom = z.infer<typeof placeInRoomSchema>;

/** How a microphone stands to the mouth it belongs to. */
export const aimSchema = z.strictObject({
  /** Where it is seen from the mouth, clockwise from straight ahead */
  bearingDeg: degrees,
  /** How far its axis points past the mouth */
  offAxisDeg: degrees,
});
export type Aim = z.infer<typeof aimSchema>;

/** Straight in front and pointed at the mouth, as long as nothing else is said. */
export const STRAIGHT: Aim = { bearingDeg: 0, offAxisDeg: 0 };

export const roomSchema = z.strictObject({
  /** What the house calls it, the same in every rig that stands in it; empty or left out: nobody has said */
  name: z.union([nameSchema, z.literal('')]).optional(),
  /** m³; null = not known */
  volumeM3: z.number().positive().max(1e6).nullable(),
  /** Time in which a sound dies away by 60 dB, s */
  rt60S: z.number().positive().max(30).nullable(),
  /** Noise of the room while nobody speaks and nothing that is listed runs, dB(A) SPL */
  noiseDba: z.number().min(0).max(120).nullable(),
  /** Of the air, °C; null = 20 */
  temperatureC: z.number().min(-20).max(50).nullable(),
});
export type Room = z.infer<typeof roomSchema>;

export const UNKNOWN_ROOM: Room = {
  volumeM3: null,
  rt60S: null,
  noiseDba: null,
  temperatureC: null,
};

/**
 * Where its level was read: in the open, or where there is no room to speak of, as a data sheet gives it;
 * or by a meter in this room, whose echo is then in the figure.
 */
export const noiseReadingSchema = z.enum(['free field', 'in the room']);

/** Something that makes a steady noise at a place: a fan, a kiln, a computer. */
export const noiseSchema = z.strictObject({
  name: nameSchema,
  /** dB(A) SPL at 1 m */
  dbaAt1m: z.number().min(0).max(150),
  reading: noiseReadingSchema,
  at: pointSchema.nullable(),
  /** Above the floor, m; null counts as the height of whatever hears it */
  heightM: z.number().min(0).max(100).nullable(),
  /** Whether it runs during the show */
  runs: z.boolean(),
  order: orderSchema,
});
export type NoiseSource = z.infer<typeof noiseSchema>;
