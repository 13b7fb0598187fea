import { z } from 'zod';

/** Words a shelf is sorted by: “live”, “on the road”. */
export const tagsSchema = z
  .array(z.string().trim().min(1).max(30))
  .max(12)
  .refine((tags) => new Set(tags).size === tags.length, { message: 'expected each tag once' });

export const notesSchema = z.string().max(20_000);
