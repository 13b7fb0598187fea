import type { Metadata } from 'next';
import { connection } from 'next/server';
import { StudioForm } from '@/features/studio/StudioForm';
import { findStudio } from '@/server/studio';

export const metadata: Metadata = { title: 'Studio' };

/** What the studio settles for all its rigs. */
const Page = async () => {
  await connection();
  return <StudioForm studio={await findStudio()} />;
};
export default Page;
