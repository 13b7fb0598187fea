import { z } from 'zod';
import { orderSchema } from '../order';

/** Findings that somebody has looked at and put aside, each with a reason. */

export const asideSchema = z.strictObject({
  /** Of the finding, as `findingKey` gives it: its rule, and what it is about, parted by bars */
  key: z.string().min(1).max(600),
  /** What it said as a headline, for when it is found no more */
  title: z.string().trim().min(1).max(200),
  level: z.enum(['stop', 'warn', 'note']),
  /** The numbers of its sums as they were, to two digits; when they change, it is back */
  figures: z.array(z.number().min(-1e15).max(1e15)).max(400),
  /** Why it may stay as it is */
  reason: z.string().trim().min(1).max(300),
  order: orderSchema,
});
export type Aside = z.infer<typeof asideSchema>;
