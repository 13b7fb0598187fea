import { z } from 'zod';

/** How a thing is had. */
export const OWNERSHIPS = ['owned', 'borrowed', 'to buy', 'second-hand'] as const;
export type Ownership = (typeof OWNERSHIPS)[number];

/** How a thing that is no device of the chain is had, and what it costs. */
export const hadSchema = z.strictObject({
  ownership: z.enum(OWNERSHIPS),
  /** What is paid for it, in the studio's currency; null = nobody has said, and nothing counts */
  price: z.number().min(0).max(1e9).nullable(),
});
export type Had = z.infer<typeof hadSchema>;
