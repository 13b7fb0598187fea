import { givenKeySchema, runPlanSchema } from '@echo-loom/core';
import { z } from 'zod';
import { answer, answering, jsonBody, noSuchRig, parsed, problem } from '@/server/answers';
import { isOnShelf } from '@/server/rigs';
import { beginRun, listRuns, MOST_RUNS } from '@/server/runs';

interface Context {
  readonly params: Promise<{ rigId: string }>;
}

/** A plan of five thousand lines. */
const MAX_BYTES = 8 * 1024 * 1024;

const beginSchema = z.strictObject({ id: givenKeySchema, plan: runPlanSchema });

/** The logbook of a rig, and what the server’s clock shows. */
export const GET = answering(async (_request, { params }: Context) => {
  const { rigId } = await params;
  if (!(await isOnShelf(rigId))) return noSuchRig();
  return answer({ runs: await listRuns(rigId), serverMs: Date.now() });
});

/** Begins a run. Sent twice, it is one. */
export const POST = answering(async (request, { params }: Context) => {
  const { rigId } = await params;
  const { id, plan } = parsed(beginSchema, await jsonBody(request, MAX_BYTES));
  switch (await beginRun(rigId, id, plan)) {
    case 'no rig':
      return noSuchRig();
    case 'other run':
      return problem(409, 'There is another run with this id; nothing was begun.');
    case 'too many':
      return problem(409, `A rig keeps at most ${MOST_RUNS} runs; nothing was begun.`);
    case 'begun':
      return answer({ serverMs: Date.now() });
  }
});
