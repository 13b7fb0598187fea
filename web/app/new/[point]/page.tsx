import { nameSchema, STARTING_POINTS } from '@echo-loom/core';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { NewRigForm } from '@/features/brief/NewRigForm';
import { listOwnModels } from '@/server/library';
import { findStudio, mainsOf } from '@/server/studio';
import { listThings } from '@/server/things';

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
  const [studio, things, models] = await Promise.all([findStudio(), listThings(), listOwnModels()]);
  const name = nameSchema.safeParse((await searchParams)['name']);
  return (
    <NewRigForm
      pointName={point.name}
      about={point.about}
      answers={point.answers(name.success ? name.data : point.name)}
      mains={mainsOf(studio)}
      studio={studio}
      stock={{ things, models }}
    />
  );
};
export default Page;
