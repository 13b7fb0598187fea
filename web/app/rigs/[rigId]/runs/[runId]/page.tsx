import { givenKeySchema } from '@echo-loom/core';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { planOf } from '@/server/runs';
import { RunMode } from './view';

interface Props {
  readonly params: Promise<{ rigId: string; runId: string }>;
}

const RunPage = async ({ params }: Props) => {
  await connection();
  const { rigId, runId } = await params;
  const plan = givenKeySchema.safeParse(runId).success ? await planOf(rigId, runId) : null;
  if (!plan) notFound();
  return <RunMode runId={runId} plan={plan} />;
};
export default RunPage;
