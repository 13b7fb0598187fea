import { z } from 'zod';

/** The body of a device: its size, what it weighs, the heat and noise it gives off, and how it is held. */

const sizeM = z.number().positive().max(100);

export const MOUNTS = ['on a surface', 'in a rack', 'on a thread', 'worn', 'on the floor'] as const;

export const bodySchema = z.strictObject({
  /** From left to right, from front to back, and from its foot to its top, as it usually stands */
  widthM: sizeM,
  depthM: sizeM,
  heightM: sizeM,
  massKg: z.number().positive().max(10_000),
  /** Given off while it works, W */
  heatW: z.number().min(0).max(100_000),
  /** Its own noise, dB(A) SPL at 1 m; null where it makes none */
  noiseDba: z.number().min(0).max(120).nullable(),
  mount: z.enum(MOUNTS),
});
export type Body = z.infer<typeof bodySchema>;
