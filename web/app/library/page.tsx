import type { Metadata } from 'next';
import { connection } from 'next/server';
import { LibraryList } from '@/features/library/LibraryList';
import { listOwnModels } from '@/server/library';
import { findStudio } from '@/server/studio';
import { listThings } from '@/server/things';

export const metadata: Metadata = { title: 'Library' };

/** The models of the studio's own, and those of the catalogue. */
const Page = async () => {
  await connection();
  const [models, things, { currency }] = await Promise.all([
    listOwnModels(),
    listThings(),
    findStudio(),
  ]);
  const there = things.flatMap(({ thing }) =>
    thing.had === 'wanted' ? [] : (thing.modelRef ?? []),
  );
  return <LibraryList models={models} there={there} currency={currency} />;
};
export default Page;
