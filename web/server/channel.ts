import { z } from 'zod';

/** Channel on which instances tell each other that a rig has changed. */
export const CHANNEL = 'rig_changed';

/** What is told: the new revision, or null where a rig went or came back, or everything was restored. */
export const noticeSchema = z.object({ rigId: z.string().nullable(), revision: z.number().nullable() });
export type Notice = z.infer<typeof noticeSchema>;
