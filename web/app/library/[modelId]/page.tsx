import { Box } from '@chakra-ui/react';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { ModelEditor } from '@/features/library/ModelEditor';
import { Uses } from '@/features/library/Uses';
import { usesOf, versionsOf } from '@/server/library';

export const metadata: Metadata = { title: 'A model of the library' };

interface Props {
  readonly params: Promise<{ readonly modelId: string }>;
}

/** A model of the studio's own, and the rigs that use it. */
const Page = async ({ params }: Props) => {
  await connection();
  const { modelId } = await params;
  const versions = await versionsOf(modelId);
  const own = versions.at(-1);
  if (!own) notFound();
  return (
    <Box maxW="1180px" mx="auto" px="5" pb="8" as="main">
      <ModelEditor own={own} start={own.model} />
      <Uses id={own.id} uses={await usesOf(versions)} />
    </Box>
  );
};
export default Page;
