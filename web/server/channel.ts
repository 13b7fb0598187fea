import { z } from 'zod';

/** Channel on which instances tell each other that a rig has changed. */
export const CHANNEL = 'rig_changed';

/** What is told: the new revision and the one before it, or null where a rig went or came back, or all was restored. */
export const noticeSchema = z.object({
  rigId: z.string().nullable(),
  saved: z.object({ since: z.number(), revision: z.number() }).nullable(),
});
export type Notice = z.infer<typeof noticeSchema>;
