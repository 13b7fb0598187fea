import {
  type AskedCommand,
  type Change,
  type CheckedPlace,
  type Command,
  commandSchema,
  RIG_VERSION,
  type RunPlan,
  type RunState,
  type Tick,
} from '@echo-loom/core';
import { z } from 'zod';

/** What browser and server say to each other about a rig's log. */

/** An edit on its way to the server, and in the outbox until it is there. */
export interface Pending {
  readonly id: string;
  readonly author: string;
  /** Version of the document the edit was written for */
  readonly version: number;
  readonly command: AskedCommand;
}

/** Ids that browsers give: of entries and of authors. */
export const givenIdSchema = z.string().regex(/^[\w-]{8,64}$/);
/** Ids of rigs. */
export const rigIdSchema = z.string().regex(/^[\w-]{1,40}$/);
/** A place in a log; PostgreSQL keeps it in four bytes. */
export const revisionSchema = z
  .number()
  .int()
  .min(0)
  .max(2 ** 31 - 1);

/** Most entries of one save. */
export const MAX_ENTRIES = 200;

/** Where a log stands: its last entry. Two logs that agree in both are the same log up to there. */
export const standSchema = z.strictObject({
  revision: revisionSchema,
  entryId: z.string().max(64).nullable(),
});
export type Stand = z.infer<typeof standSchema>;

/**
 * A save. Its commands are read one by one, so that one which is not understood harms no other.
 */
export const saveRequestSchema = z.strictObject({
  version: z.number().int().min(1).max(1e6),
  /** What the entries were made on */
  on: standSchema,
  entries: z
    .array(z.strictObject({ id: givenIdSchema, author: givenIdSchema, command: z.unknown() }))
    .min(1)
    .max(MAX_ENTRIES),
});
export type SaveRequest = z.infer<typeof saveRequestSchema>;

export interface SavedEntry {
  /** Revision of the rig after this entry */
  readonly revision: number;
  readonly id: string;
  readonly author: string;
  /** As in a log entry: the version its changes are written in, or 0 */
  readonly version: number;
  /** null where an earlier version wrote it and it can no longer be read */
  readonly command: Command | null;
  readonly changes: readonly Change[];
  readonly says: string;
  /** ISO 8601 */
  readonly at: string;
}

const changeSchema = z.object({
  path: z.array(z.string()),
  before: z.unknown(),
  after: z.unknown(),
});
export const savedEntrySchema: z.ZodType<SavedEntry> = z.object({
  revision: revisionSchema,
  id: z.string(),
  author: z.string(),
  version: z.number().int().min(0),
  command: commandSchema.nullable(),
  // A change that has no `before` was not there before: the key must stay away, not become undefined.
  changes: z.custom<readonly Change[]>(
    (value) => z.array(changeSchema.partial()).safeParse(value).success,
  ),
  says: z.string(),
  at: z.string(),
});

/** An entry that was not taken, and why. */
const notTakenSchema = z.object({ id: z.string(), why: z.string() });

export const saveAnswerSchema = z.discriminatedUnion('status', [
  z.object({
    status: z.literal('taken'),
    /** Everything the log has after what the request was made on, its own entries among it */
    entries: z.array(savedEntrySchema),
    refused: z.array(notTakenSchema),
    /** Entries that change nothing, or were in the log before: nothing more is to be done for them */
    done: z.array(z.string()),
  }),
  /** The log is not the one this page knows: the database was restored, or another has taken its place */
  z.object({ status: z.literal('other log') }),
  /** The server writes documents of another version than this page */
  z.object({ status: z.literal('other version'), version: z.number() }),
  z.object({ status: z.literal('gone') }),
]);
export type SaveAnswer = z.infer<typeof saveAnswerSchema>;

/** What the server tells browsers about a rig, one line of the event stream. */
export const rigEventSchema = z.discriminatedUnion('tells', [
  /** New entries; left out where there are too many to push: then they are fetched */
  z.object({
    tells: z.literal('entries'),
    rigId: z.string(),
    revision: z.number(),
    entries: z.array(savedEntrySchema).optional(),
  }),
  /** Something may have been missed, or the rig went or came back */
  z.object({ tells: z.literal('look'), rigId: z.string() }),
]);
export type RigEvent = z.infer<typeof rigEventSchema>;

export const PAGE_VERSION = RIG_VERSION;

/** A run in the logbook. */
export interface RunLine {
  readonly id: string;
  readonly plan: RunPlan;
  /** ISO 8601 */
  readonly at: string;
  readonly stage: 'before' | 'live' | 'after';
  readonly liveMs: number | null;
  readonly endedMs: number | null;
  readonly ticked: number;
  /** When setting up began, as far as ticks tell */
  readonly firstTickMs: number | null;
  readonly marks: number;
  readonly incidents: readonly string[];
  readonly overruled: string | null;
  readonly segments: readonly { readonly segmentId: string; readonly lastedS: number | null }[];
  /** What was read off, by line of the checklists */
  readonly measured: readonly {
    readonly lineId: string;
    readonly value: number;
    readonly unit: string;
  }[];
  /** Devices of incidents, one for each */
  readonly troubled: readonly string[];
  readonly moves: RunState['moves'];
  /** The latest of each drive in each place; what was found, as its digest */
  readonly checks: readonly (CheckedPlace & Tick & { readonly files: number })[];
}
