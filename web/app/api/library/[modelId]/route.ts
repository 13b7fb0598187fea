import { answer, answering, problem } from '@/server/answers';
import { usesOf, versionsOf } from '@/server/library';

interface Context {
  readonly params: Promise<{ readonly modelId: string }>;
}

/** A model with all its versions, and the rigs that use it. */
export const GET = answering(async (_request: Request, { params }: Context) => {
  const { modelId } = await params;
  const versions = await versionsOf(modelId);
  return versions.length === 0
    ? problem(404, 'There is no such model in the library; it may have been taken out.')
    : answer({ versions, uses: await usesOf(versions) });
});
