import { Box } from '@chakra-ui/react';
import { blankModel, CATALOGUE, type ModelDraft } from '@echo-loom/core';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { ModelEditor } from '@/features/library/ModelEditor';
import { listOwnModels } from '@/server/library';

export const metadata: Metadata = { title: 'Describe a device' };

interface Props {
  readonly searchParams: Promise<{ readonly from?: string | string[] }>;
}

/** What a new description begins with: a class, another model of the studio's, or nothing. */
const startFrom = async (from: string | string[] | undefined): Promise<ModelDraft> => {
  const known =
    CATALOGUE.find(({ classId }) => classId === from) ??
    (await listOwnModels()).find(({ id }) => id === from)?.model;
  return known ? { ...known, name: `${known.name}, ours`.slice(0, 80) } : blankModel('');
};

/** A device nobody thought of, described. */
const Page = async ({ searchParams }: Props) => {
  await connection();
  const { from } = await searchParams;
  return (
    <Box maxW="1180px" mx="auto" px="5" pb="8" as="main">
      <ModelEditor own={null} start={await startFrom(from)} />
    </Box>
  );
};
export default Page;
