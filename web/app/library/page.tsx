import type { Metadata } from 'next';
import { connection } from 'next/server';
import { LibraryList } from '@/features/library/LibraryList';
import { listOwnModels } from '@/server/library';
import { findStudio } from '@/server/studio';

export const metadata: Metadata = { title: 'Library' };

/** The models of the studio's own, and those of the catalogue. */
const Page = async () => {
  await connection();
  const [models, { currency }] = await Promise.all([listOwnModels(), findStudio()]);
  return <LibraryList models={models} currency={currency} />;
};
export default Page;
