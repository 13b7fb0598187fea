'use client';

import { Text } from '@chakra-ui/react';
import type { Model } from '@echo-loom/core';
import Link from 'next/link';
import { useOwnModels } from './useOwnModels';

/** Says on a device that the library has a later version of its model; nothing where it has not. */
export const BehindNote = ({ own }: { readonly own: NonNullable<Model['own']> }) => {
  const latest = useOwnModels().find(({ id }) => id === own.modelId);
  if (!latest || latest.version <= own.version) return null;
  return (
    <Text fontSize="sm" mt="1.5" bg="madder.wash" p="1.5">
      This is version {own.version} of its model; the library has version {latest.version}.{' '}
      <Link href={`/library/${latest.id}`} prefetch={false} style={{ textDecoration: 'underline' }}>
        See what differs, and bring it up.
      </Link>
    </Text>
  );
};
