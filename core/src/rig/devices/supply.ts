import { z } from 'zod';

/** What a device runs on, and how much of it. */

export const SUPPLIES = ['inlet', 'adapter', 'usb', 'network', 'battery'] as const;
export const INRUSHES = ['small', 'medium', 'large'] as const;

export const supplySchema = z.strictObject({
  is: z.enum(SUPPLIES),
  /** In use. @unit W */
  typicalW: z.number().min(0).max(100_000),
  /** At most. @unit W */
  mostW: z.number().min(0).max(100_000),
  /** null = not known: 0.95 for an inlet, 0.6 for an adapter count */
  powerFactor: z.number().min(0.1).max(1).nullable(),
  /** What it draws in the moment it is switched on */
  inrush: z.enum(INRUSHES),
  /** Sockets of a strip that its adapter covers */
  covers: z.number().int().min(1).max(3),
});
export type Supply = z.infer<typeof supplySchema>;
