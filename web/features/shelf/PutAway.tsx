'use client';

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toaster } from '@/ui/toaster';
import { shelfDo } from './door';

interface Item {
  readonly id: string;
  /** null where the rig cannot be read */
  readonly name: string | null;
  readonly devices: number;
  readonly putAway: string;
  readonly goes: string;
}

interface Props {
  readonly items: readonly Item[];
  readonly keptDays: number;
}

/** What was taken off the shelf: put back with one press, or saved as a file, until it goes for good. */
export const PutAway = ({ items, keptDays }: Props) => {
  const router = useRouter();
  const [busy, setBusy] = useState<string | null>(null);
  const putBack = async ({ id, name }: Item): Promise<void> => {
    setBusy(id);
    const answer = await shelfDo({ does: 'put back', id });
    setBusy(null);
    const title = answer.ok ? `${name ?? id} is back on the shelf.` : answer.says;
    toaster.create({ title, type: answer.ok ? 'success' : 'error', closable: true });
    router.refresh();
  };
  return (
    <Box maxW="860px" mx="auto" px="5" py="4">
      <Flex align="center" gap="3" mb="5">
        <Button asChild size="sm" variant="ghost" px="2">
          <Link href="/">Shelf</Link>
        </Button>
        <Heading as="h1" size="xl">
          Put away
        </Heading>
      </Flex>
      <Box as="main">
        <Text mb="4" color="ink.soft">
          A rig that is deleted from the shelf is kept here for {keptDays} days, with its whole
          history.
        </Text>
        {items.length === 0 && <Text>Nothing is put away.</Text>}
        <Box as="ul" listStyleType="none">
          {items.map((item) => (
            <Flex
              as="li"
              key={item.id}
              align="center"
              gap="3"
              py="2"
              borderTopWidth="1px"
              borderColor="rule"
              wrap="wrap"
            >
              <Box flex="1" minW="220px">
                <Text fontWeight="600">
                  {item.name ?? `A rig that cannot be read (${item.id})`}
                </Text>
                <Text fontSize="sm" color="ink.soft">
                  {item.name !== null &&
                    `${item.devices} ${item.devices === 1 ? 'device' : 'devices'} · `}
                  {item.putAway} · {item.goes}
                </Text>
              </Box>
              <Button asChild size="sm" variant="outline">
                <a
                  href={`/api/rigs/${item.id}/raw`}
                  download
                  aria-label={`Save ${item.name ?? item.id} as a file`}
                >
                  Save as a file
                </a>
              </Button>
              <Button
                size="sm"
                bg="madder"
                color="madder.ink"
                loading={busy === item.id}
                onClick={() => void putBack(item)}
                aria-label={`Put ${item.name ?? item.id} back`}
              >
                Put back
              </Button>
            </Flex>
          ))}
        </Box>
      </Box>
    </Box>
  );
};
