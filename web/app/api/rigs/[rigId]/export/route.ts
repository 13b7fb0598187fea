import { patchSheetCsv, rigToDot, rigToJson } from '@echo-loom/core';
import { z } from 'zod';
import { answering, badRequest, problem } from '@/server/answers';
import { findRig } from '@/server/rigs';

const querySchema = z.strictObject({ as: z.enum(['json', 'csv', 'dot']) });

const KINDS = {
  json: { write: rigToJson, type: 'application/json', suffix: 'rig.json' },
  csv: { write: patchSheetCsv, type: 'text/csv', suffix: 'patch.csv' },
  dot: { write: rigToDot, type: 'text/vnd.graphviz', suffix: 'dot' },
} as const;

/** A rig as a file: the whole document, the patch sheet or the graph. */
export const GET = (request: Request, { params }: { params: Promise<{ rigId: string }> }): Promise<Response> =>
  answering(async () => {
    const query = querySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!query.success) return badRequest(query.error.issues);
    const found = await findRig((await params).rigId);
    if (!found) return problem(404, 'There is no such rig; it may have been deleted.');
    const kind = KINDS[query.data.as];
    const stem = found.rig.name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'rig';
    return new Response(kind.write(found.rig), {
      headers: { 'content-type': `${kind.type}; charset=utf-8`, 'content-disposition': `attachment; filename="${stem}.${kind.suffix}"`, 'cache-control': 'no-store' },
    });
  });
