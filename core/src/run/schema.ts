import { z } from 'zod';
import { driveCheckSchema } from '../files/checked';
import { idSchema, nameSchema } from '../rig/ids';
import { lengthSchema, timeOfDaySchema } from '../rig/rundown/schema';
import { PHASES } from '../rig/day/schema';

/** A run: what was planned when it began, and a stream of what happened, to which is only added. */

/** Made at random by whoever makes the event or the run. */
export const givenKeySchema = z.string().regex(/^[\w-]{8,40}$/);

/** Milliseconds since 1970, UTC, by the clock of the run. */
const momentSchema = z.number().int().min(0).max(8_640_000_000_000_000);

const lineIdSchema = z.string().min(1).max(200);
const wordsSchema = z.string().trim().min(1).max(500);

export const MARKS = ['marker', 'take', 'retake', 'chapter'] as const;
export type MarkKind = (typeof MARKS)[number];

/** Where an episode stands after the show, in the order it is done in. */
export const EPISODE_STEPS = [
  'recorded',
  'copied',
  'verified',
  'in edit',
  'review',
  'ready',
  'published',
  'archived',
] as const;
export type EpisodeStep = (typeof EPISODE_STEPS)[number];

export const happenedSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('ticked'), lineId: lineIdSchema }),
  z.strictObject({ is: z.literal('unticked'), lineId: lineIdSchema }),
  /** The gate to live is opened in words */
  z.strictObject({ is: z.literal('overruled'), words: wordsSchema }),
  z.strictObject({ is: z.literal('live') }),
  z.strictObject({ is: z.literal('ended') }),
  z.strictObject({ is: z.literal('segment'), segmentId: idSchema }),
  z.strictObject({
    is: z.literal('marked'),
    kind: z.enum(MARKS),
    text: z.string().trim().max(500),
  }),
  z.strictObject({
    is: z.literal('incident'),
    deviceId: idSchema.nullable(),
    what: wordsSchema,
  }),
  z.strictObject({ is: z.literal('died'), deviceId: idSchema }),
  z.strictObject({ is: z.literal('back'), deviceId: idSchema }),
  /** A battery or a card was changed, a recording started anew */
  z.strictObject({ is: z.literal('fresh'), runsOutId: lineIdSchema }),
  z.strictObject({
    is: z.literal('measured'),
    lineId: lineIdSchema,
    value: z.number().min(-1e6).max(1e6),
    unit: z.string().max(12),
  }),
  /** The episode goes on a step, or back */
  z.strictObject({ is: z.literal('moved'), step: z.enum(EPISODE_STEPS) }),
  /** A folder was read to the last byte */
  z.strictObject({ is: z.literal('checked'), check: driveCheckSchema }),
  /** An earlier event did not happen */
  z.strictObject({ is: z.literal('withdrawn'), eventId: givenKeySchema }),
]);
export type Happened = z.infer<typeof happenedSchema>;

export const runEventSchema = z.strictObject({
  id: givenKeySchema,
  atMs: momentSchema,
  by: nameSchema,
  happened: happenedSchema,
});
export type RunEvent = z.infer<typeof runEventSchema>;

/** Time passes as it does, or as a rehearsal has it: from a moment on, faster. */
export const runClockSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('real') }),
  z.strictObject({
    is: z.literal('simulated'),
    /** What it showed, when the server’s clock showed `serverMs` */
    fromMs: momentSchema,
    serverMs: momentSchema,
    speed: z.number().min(1).max(600),
  }),
]);
export type RunClock = z.infer<typeof runClockSchema>;

const plannedLineSchema = z.strictObject({
  id: lineIdSchema,
  phase: z.enum(PHASES),
  what: z.string().max(1000),
  figure: z.string().max(2000).nullable(),
  isMust: z.boolean(),
});

/** What was planned when the run began: the rig may change while it goes on. */
export const runPlanSchema = z.strictObject({
  name: nameSchema,
  /** Revision of the rig's log */
  revision: z.number().int().min(0),
  by: nameSchema,
  people: z.number().int().min(1).max(200),
  clock: runClockSchema,
  beginsAt: timeOfDaySchema.nullable(),
  lengthMin: z.number().min(1).max(1440).nullable(),
  lines: z.array(plannedLineSchema).max(5000),
  segments: z
    .array(z.strictObject({ id: idSchema, title: nameSchema, lengthS: lengthSchema }))
    .max(500),
});
export type RunPlan = z.infer<typeof runPlanSchema>;
export type PlannedLine = RunPlan['lines'][number];

/** Most events of one run: ten a minute for eight days. */
export const MOST_EVENTS = 100_000;
