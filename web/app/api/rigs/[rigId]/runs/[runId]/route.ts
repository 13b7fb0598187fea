import { givenKeySchema, MOST_EVENTS, runEventSchema } from '@echo-loom/core';
import { z } from 'zod';
import { answer, answering, jsonBody, parsed, problem, queryOf } from '@/server/answers';
import { addEvents, eventsBehind } from '@/server/runs';
import { rigIdSchema } from '@/session/protocol';

interface Context {
  readonly params: Promise<{ rigId: string; runId: string }>;
}

const MAX_BYTES = 1024 * 1024;

const noSuchRun = (): Response => problem(404, 'There is no such run of this rig.');

/** The ids of the address, where they can be those of a run. */
const idsOf = async ({ params }: Context) => {
  const { rigId, runId } = await params;
  return rigIdSchema.safeParse(rigId).success && givenKeySchema.safeParse(runId).success
    ? { rigId, runId }
    : null;
};

const querySchema = z.strictObject({
  after: z
    .string()
    .regex(/^\d{1,9}$/)
    .transform(Number)
    .default(0),
});

/** What happened in a run behind a place, and what the server’s clock shows. */
export const GET = answering(async (request, context: Context) => {
  const { after } = queryOf(request, querySchema);
  const ids = await idsOf(context);
  const behind = ids && (await eventsBehind(ids.rigId, ids.runId, after));
  return behind ? answer({ ...behind, serverMs: Date.now() }) : noSuchRun();
});

const addSchema = z.strictObject({ events: z.array(runEventSchema).min(1).max(200) });

/** Adds what happened: all or none. What is there already stays as it was. */
export const POST = answering(async (request, context: Context) => {
  const { events } = parsed(addSchema, await jsonBody(request, MAX_BYTES));
  const ids = await idsOf(context);
  const added = ids ? await addEvents(ids.rigId, ids.runId, events) : 'no run';
  if (added === 'no run') return noSuchRun();
  if (added === 'too many')
    return problem(409, `A run keeps at most ${MOST_EVENTS} events; nothing was added.`);
  return answer({ ...added, serverMs: Date.now() });
});
