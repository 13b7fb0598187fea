import { givenKeySchema } from '@echo-loom/core';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { findRun } from '@/server/runs';
import { RunMode } from './view';

interface Props {
  readonly params: Promise<{ rigId: string; runId: string }>;
}

const RunPage = async ({ params }: Props) => {
  await connection();
  const { rigId, runId } = await params;
  const run = givenKeySchema.safeParse(runId).success ? await findRun(rigId, runId, 0) : null;
  if (!run) notFound();
  return <RunMode runId={runId} plan={run.plan} />;
};
export default RunPage;
