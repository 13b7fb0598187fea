'use client';

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { CATALOGUE, type OwnModel } from '@echo-loom/core';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useMemo, useState } from 'react';
import { PlainTable } from '@/ui/PlainTable';
import { toaster } from '@/ui/toaster';
import { libraryDo } from './door';
import { Filters } from './Filters';
import { LibraryFiles } from './LibraryFiles';
import { ALL, connectorsOf, type Entry, narrowed } from './search';

const entriesOf = (models: readonly OwnModel[], there: ReadonlySet<string>): Entry[] => [
  ...models.map((own) => ({
    key: `own ${own.id}`,
    model: own.model,
    own,
    isThere: there.has(`own:${own.id}`),
  })),
  ...CATALOGUE.map((model) => ({
    key: `class ${model.classId ?? ''}`,
    model,
    own: null,
    isThere: there.has(model.classId ?? ''),
  })),
];

const priceText = (price: number | null, currency: string): string =>
  price === null
    ? '–'
    : new Intl.NumberFormat('en-GB', {
        style: 'currency',
        currency,
        maximumFractionDigits: 0,
      }).format(price);

const Name = ({ entry: { own, model } }: { readonly entry: Entry }) => (
  <>
    {own ? (
      <Link href={`/library/${own.id}`} prefetch={false} style={{ textDecoration: 'underline' }}>
        {model.name}
      </Link>
    ) : (
      model.name
    )}
    <Text fontSize="xs" color="ink.soft" fontWeight="400">
      {own ? `yours, version ${own.version}` : 'class of the catalogue'}
    </Text>
  </>
);

interface Props {
  readonly models: readonly OwnModel[];
  /** What the studio's things are of, as they name it */
  readonly there: readonly string[];
  readonly currency: string;
}

/** Catalogue and the studio's own models, searched together. */
export const LibraryList = ({ models, there, currency }: Props) => {
  const router = useRouter();
  const [by, setBy] = useState(ALL);
  const deferred = useDeferredValue(by);
  const entries = useMemo(() => entriesOf(models, new Set(there)), [models, there]);
  const shown = narrowed(entries, deferred);
  const put = async (id: string, name: string, isBack: boolean) => {
    const answer = await libraryDo({ does: isBack ? 'put back' : 'remove', id });
    toaster.create(
      answer.ok
        ? {
            title: isBack
              ? `${name} is in the library again.`
              : `${name} is out of the library. Rigs keep it.`,
            duration: 12_000,
            closable: true,
            ...(isBack
              ? {}
              : { action: { label: 'Undo', onClick: () => void put(id, name, true) } }),
          }
        : { title: answer.says, type: 'error', closable: true },
    );
    router.refresh();
  };
  return (
    <Box maxW="1180px" mx="auto" px="5" py="4">
      <Flex align="center" gap="3" mb="4" wrap="wrap">
        <Button asChild size="sm" variant="ghost" px="2">
          <Link href="/" prefetch={false}>
            Shelf
          </Link>
        </Button>
        <Heading as="h1" size="xl">
          Library
        </Heading>
        <Flex ms="auto" gap="2" wrap="wrap">
          <LibraryFiles />
          <Button asChild size="sm" bg="madder" color="madder.ink">
            <Link href="/library/new" prefetch={false}>
              Describe a device
            </Link>
          </Button>
        </Flex>
      </Flex>
      <Box as="main">
        <Text color="ink.soft" fontSize="sm" mb="3">
          {models.length === 0
            ? 'Nothing of your own yet. Describe a device from its data sheet, or from the class that is nearest.'
            : `${models.length} of your own, for every rig.`}
        </Text>
        <Filters entries={entries} by={by} onBy={setBy} />
        <Text fontSize="sm" color="ink.soft" role="status" mb="1">
          {shown.length} of {entries.length}
        </Text>
        {shown.length === 0 ? (
          <Flex gap="3" align="center">
            <Text>Nothing fits all of that.</Text>
            <Button size="sm" variant="outline" onClick={() => setBy(ALL)}>
              Show everything
            </Button>
          </Flex>
        ) : (
          <PlainTable
            label="Models"
            headings={['Model', 'Kind', 'Connectors', 'Price', '']}
            lines={shown.map((entry) => ({
              id: entry.key,
              head: <Name entry={entry} />,
              cells: [
                entry.model.kind,
                connectorsOf(entry.model).join(', '),
                priceText(entry.model.typicalPrice, currency),
                <Flex key="do" gap="1.5" justify="end">
                  <Button asChild size="xs" variant="outline" fontFamily="body">
                    <Link
                      href={`/library/new?from=${entry.own?.id ?? entry.model.classId ?? ''}`}
                      prefetch={false}
                      aria-label={`Describe one like ${entry.model.name}`}
                    >
                      One like it
                    </Link>
                  </Button>
                  {entry.own && (
                    <Button
                      size="xs"
                      variant="ghost"
                      fontFamily="body"
                      aria-label={`Take ${entry.model.name} out of the library`}
                      onClick={() => void put(entry.own?.id ?? '', entry.model.name, false)}
                    >
                      Take out
                    </Button>
                  )}
                </Flex>,
              ],
            }))}
          />
        )}
      </Box>
    </Box>
  );
};
