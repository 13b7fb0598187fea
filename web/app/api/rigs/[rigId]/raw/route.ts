import { answering, noSuchRig } from '@/server/answers';
import { findRaw } from '@/server/rigs';

interface Context {
  readonly params: Promise<{ rigId: string }>;
}

/** The document of a rig as it stands in the database, also where it cannot be read. */
export const GET = answering(async (_request, { params }: Context) => {
  const { rigId } = await params;
  const text = await findRaw(rigId);
  if (text === null) return noSuchRig();
  return new Response(text, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${rigId}.raw.json"`,
      'cache-control': 'no-store',
    },
  });
});
