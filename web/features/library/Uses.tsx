'use client';

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { DeviceUpdate } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PlainTable } from '@/ui/PlainTable';
import { authorId } from '@/session/outbox';
import { toaster } from '@/ui/toaster';
import { libraryDo, type UsedIn } from './door';

const keptText = (kept: DeviceUpdate['kept']): string =>
  kept.map(({ field, after }) => `${field}, ${after ?? ''}`).join('; ');

const Changes = ({ update: { name, from, changes, kept } }: { readonly update: DeviceUpdate }) => (
  <Box mt="1">
    <Text fontSize="sm">
      {name}, made from version {from}
      {kept.length > 0 ? `; what was typed into the rig stays: ${keptText(kept)}` : ''}
    </Text>
    <PlainTable
      label={`What changes of ${name}`}
      headings={['Field', 'Now', 'To']}
      lines={changes.map(({ path, field, before, after }) => ({
        id: path,
        head: field,
        cells: [before ?? 'not there', after ?? 'not there'],
      }))}
    />
  </Box>
);

/** The rigs that use a model, what its latest version would change in each, and the edit that does it. */
export const Uses = ({ id, uses }: { readonly id: string; readonly uses: readonly UsedIn[] }) => {
  const router = useRouter();
  const [busy, setBusy] = useState<string | null>(null);
  const update = async (rigs: readonly UsedIn[]) => {
    for (const { rigId, name } of rigs) {
      setBusy(rigId);
      const answer = await libraryDo({ does: 'update', id, rigId, author: authorId(nanoid) });
      toaster.create(
        answer.ok
          ? {
              title: `${name} is up to date. It can be undone there, under History.`,
              closable: true,
            }
          : { title: `${name}: ${answer.says}`, type: 'error', closable: true },
      );
    }
    setBusy(null);
    router.refresh();
  };
  const behind = uses.filter(({ updates }) => updates.length > 0);
  return (
    <Box as="section" aria-label="Where it is used" mt="8" maxW="44rem">
      <Flex align="center" gap="3" mb="1">
        <Heading as="h2" size="md">
          Where it is used
        </Heading>
        {behind.length > 1 && (
          <Button
            size="xs"
            variant="outline"
            disabled={busy !== null}
            onClick={() => void update(behind)}
          >
            Bring all {behind.length} up to date
          </Button>
        )}
      </Flex>
      {uses.length === 0 && (
        <Text fontSize="sm" color="ink.soft">
          In no rig yet. In a rig it stands in the list of Add a device, under Yours.
        </Text>
      )}
      {uses.map((use) => (
        <Box key={use.rigId} as="article" aria-label={use.name} borderTopWidth="1px" py="2">
          <Flex align="center" gap="3">
            <Link
              href={`/rigs/${use.rigId}`}
              prefetch={false}
              style={{ textDecoration: 'underline' }}
            >
              {use.name}
            </Link>
            <Text fontSize="sm" color="ink.soft">
              {use.devices} {use.devices === 1 ? 'device' : 'devices'}
              {use.updates.length === 0 ? ', up to date' : ''}
            </Text>
            {use.updates.length > 0 && (
              <Button
                ms="auto"
                size="xs"
                bg="madder"
                color="madder.ink"
                disabled={busy !== null}
                onClick={() => void update([use])}
                aria-label={`Bring ${use.name} up to date`}
              >
                {busy === use.rigId ? 'Bringing it up…' : 'Bring it up to date'}
              </Button>
            )}
          </Flex>
          {use.updates.map((one) => (
            <Changes key={one.deviceId} update={one} />
          ))}
        </Box>
      ))}
    </Box>
  );
};
