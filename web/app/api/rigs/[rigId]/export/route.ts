import { patchSheetCsv, rigToDot, rigToJson } from '@echo-loom/core';
import { z } from 'zod';
import { answering, noSuchRig, problem, queryOf } from '@/server/answers';
import { findRig } from '@/server/rigs';

interface Context {
  readonly params: Promise<{ rigId: string }>;
}

const querySchema = z.strictObject({ as: z.enum(['json', 'csv', 'dot']) });

const KINDS = {
  json: { write: rigToJson, type: 'application/json', suffix: 'rig.json' },
  csv: { write: patchSheetCsv, type: 'text/csv', suffix: 'patch.csv' },
  dot: { write: rigToDot, type: 'text/vnd.graphviz', suffix: 'dot' },
} as const;

/** A rig's name as the beginning of a file's name. */
const stemOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'rig';

/** A rig as a file: the whole document, the patch sheet or the graph. */
export const GET = answering(async (request, { params }: Context) => {
  const query = queryOf(request, querySchema);
  const found = await findRig((await params).rigId);
  if (!found) return noSuchRig();
  if (!found.read.ok)
    return problem(409, 'This rig cannot be read; its raw file can be downloaded from the shelf.');
  const { rig } = found.read;
  const kind = KINDS[query.as];
  return new Response(kind.write(rig), {
    headers: {
      'content-type': `${kind.type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${stemOf(rig.name)}.${kind.suffix}"`,
      'cache-control': 'no-store',
    },
  });
});
