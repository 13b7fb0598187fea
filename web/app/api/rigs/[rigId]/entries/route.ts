import { z } from 'zod';
import { saveRequestSchema } from '@/features/rig/protocol';
import { answering, badRequest, problem, readBody } from '@/server/answers';
import { entriesAfter, findRig, saveEntries } from '@/server/rigs';

interface Context {
  readonly params: Promise<{ rigId: string }>;
}

const querySchema = z.strictObject({ after: z.coerce.number().int().min(0) });

/** The log of a rig after a revision. */
export const GET = (request: Request, { params }: Context): Promise<Response> =>
  answering(async () => {
    const query = querySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!query.success) return badRequest(query.error.issues);
    const { rigId } = await params;
    if (!(await findRig(rigId))) return problem(404, 'There is no such rig; it may have been deleted.');
    return Response.json({ entries: await entriesAfter(rigId, query.data.after) }, { headers: { 'cache-control': 'no-store' } });
  });

/** Saves commands. 409 when others have saved since or a command is refused; the body says which. */
export const POST = (request: Request, { params }: Context): Promise<Response> =>
  answering(async () => {
    const bytes = await readBody(request);
    if (!bytes) return problem(413, 'The request is too large.');
    let body: unknown;
    try {
      body = JSON.parse(new TextDecoder().decode(bytes));
    } catch {
      return problem(400, 'The request is not JSON.');
    }
    const parsed = saveRequestSchema.safeParse(body);
    if (!parsed.success) return badRequest(parsed.error.issues);
    const answer = await saveEntries((await params).rigId, parsed.data);
    return Response.json(answer, { status: answer.status === 'saved' ? 200 : answer.status === 'gone' ? 404 : 409 });
  });
