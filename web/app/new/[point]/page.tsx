import { nameSchema, STARTING_POINTS } from '@echo-loom/core';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { NewRigForm } from '@/features/brief/NewRigForm';
import { findStudio, mainsOf } from '@/server/studio';

export const metadata: Metadata = { title: 'New rig' };

interface Props {
  readonly params: Promise<{ point: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** The questions of a new rig, answered by its starting point until someone answers otherwise. */
const Page = async ({ params, searchParams }: Props) => {
  const { point: pointId } = await params;
  const point = STARTING_POINTS.find(({ id }) => id === pointId);
  if (!point) notFound();
  const studio = await findStudio();
  const name = nameSchema.safeParse((await searchParams)['name']);
  return (
    <NewRigForm
      pointName={point.name}
      about={point.about}
      answers={point.answers(name.success ? name.data : point.name)}
      mains={mainsOf(studio)}
      studio={studio}
    />
  );
};
export default Page;
