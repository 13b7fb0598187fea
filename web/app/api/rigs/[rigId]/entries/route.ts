import { z } from 'zod';
import { answer, answering, jsonBody, noSuchRig, parsed, problem, queryOf } from '@/server/answers';
import { entriesAfter, isInLog, isOnShelf, pageOfLog } from '@/server/rigs';
import { isTooMuch, MAX_COMMANDS, saveEntries } from '@/server/save';
import { revisionSchema, rigIdSchema, saveRequestSchema } from '@/session/protocol';

interface Context {
  readonly params: Promise<{ rigId: string }>;
}

/** Largest save read. @unit bytes */
const MAX_SAVE_BYTES = 4 * 1024 * 1024;

const placeSchema = z
  .string()
  .regex(/^\d{1,10}$/)
  .transform(Number)
  .pipe(revisionSchema);

const querySchema = z.union([
  z.strictObject({
    after: placeSchema,
    /** The entry that stands there, as the page knows it */
    is: z.string().max(64).optional(),
  }),
  z.strictObject({ before: placeSchema }),
]);

/** The log of a rig after a revision, or the page of it before one. 409 where the page knows another log. */
export const GET = answering(async (request, { params }: Context) => {
  const query = queryOf(request, querySchema);
  const { rigId } = await params;
  if (!(await isOnShelf(rigId))) return noSuchRig();
  if ('before' in query)
    return answer({ entries: await pageOfLog(rigId, Math.max(0, query.before - 1)) });
  const { after, is } = query;
  if (is !== undefined && !(await isInLog(rigId, { revision: after, entryId: is }))) {
    return problem(409, 'The log has another entry there.');
  }
  return answer({ entries: await entriesAfter(rigId, after) });
});

/** Saves commands, each by itself; the body says what became of them. */
export const POST = answering(async (request, { params }: Context) => {
  const { rigId } = await params;
  if (!rigIdSchema.safeParse(rigId).success) return noSuchRig();
  const save = parsed(saveRequestSchema, await jsonBody(request, MAX_SAVE_BYTES));
  if (isTooMuch(save))
    return problem(
      413,
      `The request is too large: at most ${MAX_COMMANDS} commands are taken at once.`,
    );
  const saved = await saveEntries(rigId, save);
  return answer(saved, saved.status === 'gone' ? 404 : saved.status === 'taken' ? 200 : 409);
});
