import { commandSchema, type Change, type Command } from '@echo-loom/core';
import { z } from 'zod';

/** What browser and server say to each other about a rig's log. */

export const saveRequestSchema = z.strictObject({
  /** Revision the entries were made on */
  revision: z.number().int().min(0),
  entries: z
    .array(z.strictObject({ id: z.string().regex(/^[\w-]{8,64}$/), author: z.string().regex(/^[\w-]{8,64}$/), command: commandSchema }))
    .min(1)
    .max(200),
});
export type SaveRequest = z.infer<typeof saveRequestSchema>;

export interface SavedEntry {
  /** Revision of the rig after this entry */
  readonly revision: number;
  readonly id: string;
  readonly author: string;
  readonly command: Command;
  readonly changes: readonly Change[];
  readonly says: string;
  /** ISO 8601 */
  readonly at: string;
}

export type SaveAnswer =
  | { readonly status: 'saved'; readonly revision: number }
  /** Others have saved since: replay on top of what was missed, and send again */
  | { readonly status: 'stale'; readonly missed: readonly SavedEntry[] }
  | { readonly status: 'refused'; readonly entryId: string; readonly why: string }
  | { readonly status: 'gone' };
