'use client';

import { Box, Button, Flex, Heading, SimpleGrid, Text } from '@chakra-ui/react';
import { Settings2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { ThemeButton } from '@/ui/ThemeButton';
import { useLookAgain } from '@/ui/useLookAgain';
import { toaster } from '@/ui/toaster';
import { arranged, type Order, tagsOf } from './arranged';
import { shelfDo, type Deed } from './door';
import { EmptyShelf } from './EmptyShelf';
import { Everything } from './Everything';
import { FindRig } from './FindRig';
import { ImportButton } from './ImportButton';
import { RigCard } from './RigCard';
import type { ReadableItem, ShelfItem } from './items';
import type { Start } from './RigNameDialog';
import { UnreadableCard } from './UnreadableCard';

/** Dialogs are fetched when they are asked for: the shelf is read without them. */
const RigNameDialog = dynamic(() =>
  import('./RigNameDialog').then((module) => module.RigNameDialog),
);
const TagsDialog = dynamic(() => import('./TagsDialog').then((module) => module.TagsDialog));

interface Props {
  readonly items: readonly ShelfItem[];
  readonly points: readonly Start[];
  /** Whether the studio has said anything of itself */
  readonly isSettled: boolean;
  /** How many rigs can be put back */
  readonly putAway: number;
}

type Asking =
  { readonly what: 'new' } | { readonly what: 'rename' | 'tag'; readonly item: ReadableItem };

/** The rigs, latest first: open one, make one, bring one in. */
export const Shelf = ({ items, points, isSettled, putAway }: Props) => {
  const router = useRouter();
  const [asking, setAsking] = useState<Asking | null>(null);
  const [query, setQuery] = useState('');
  const [order, setOrder] = useState<Order>('latest');
  const shown = arranged(items, query, order);
  useLookAgain(items.some((item) => item.is === 'readable' && item.verdict === null));
  const [, startTransition] = useTransition();
  const act = (deed: Deed, done?: () => void) =>
    startTransition(async () => {
      const answer = await shelfDo(deed);
      if (answer.ok) done?.();
      else toaster.create({ title: answer.says, type: 'error', closable: true });
      router.refresh();
    });
  const remove = ({ id, name }: ReadableItem) =>
    act({ does: 'put away', id }, () =>
      toaster.create({
        title: `${name} is off the shelf.`,
        duration: 12_000,
        closable: true,
        action: { label: 'Undo', onClick: () => act({ does: 'put back', id }) },
      }),
    );

  return (
    <Box maxW="1180px" mx="auto" px="5" py="4">
      <Flex align="center" gap="3" mb="5" wrap="wrap">
        <Heading as="h1" size="xl">
          Echo Loom
        </Heading>
        <Text color="ink.soft" display={{ base: 'none', md: 'block' }}>
          Every picture and sound of the studio, from source to destination, computed.
        </Text>
        <Flex ml="auto" gap="2" align="center" wrap="wrap" justify="end">
          <ThemeButton />
          <Button asChild variant="outline">
            <Link href="/library" prefetch={false}>
              Library
            </Link>
          </Button>
          <Button asChild variant="outline">
            <Link href="/things" prefetch={false}>
              Things
            </Link>
          </Button>
          <Button asChild variant="outline">
            <Link href="/schedule" prefetch={false}>
              Schedule
            </Link>
          </Button>
          <Button asChild variant="outline">
            <Link href="/studio" prefetch={false}>
              <Settings2 size={16} /> Studio
            </Link>
          </Button>
          <Everything putAway={putAway} />
          <ImportButton />
          <Button bg="madder" color="madder.ink" onClick={() => setAsking({ what: 'new' })}>
            New rig
          </Button>
        </Flex>
      </Flex>
      <Box as="main">
        {items.length === 0 && (
          <EmptyShelf isSettled={isSettled} onNew={() => setAsking({ what: 'new' })} />
        )}
        {items.length > 1 && (
          <FindRig
            query={query}
            order={order}
            shown={shown.length}
            of={items.length}
            tags={tagsOf(items)}
            onQuery={setQuery}
            onOrder={setOrder}
          />
        )}
        <SimpleGrid columns={{ base: 1, sm: 2, lg: 3 }} gap="4">
          {shown.map((item) =>
            item.is === 'unreadable' ? (
              <UnreadableCard key={item.id} id={item.id} why={item.why} changed={item.changed} />
            ) : (
              <RigCard
                key={item.id}
                {...item}
                onRename={() => setAsking({ what: 'rename', item })}
                onTag={() => setAsking({ what: 'tag', item })}
                onDuplicate={() => act({ does: 'duplicate', id: item.id })}
                onDelete={() => remove(item)}
              />
            ),
          )}
        </SimpleGrid>
      </Box>
      {asking?.what === 'new' && (
        <RigNameDialog
          title="New rig"
          submitLabel="Make it"
          initialName=""
          points={points}
          onClose={() => setAsking(null)}
          onSubmit={async ({ name, from }) => {
            if (from !== 'blank') {
              router.push(`/new/${from}?name=${encodeURIComponent(name)}`);
              return null;
            }
            const answer = await shelfDo({ does: 'create', name });
            if (!answer.ok) return answer.says;
            router.push(`/rigs/${answer.id}`);
            return null;
          }}
        />
      )}
      {asking?.what === 'tag' && (
        <TagsDialog
          name={asking.item.name}
          tags={asking.item.tags}
          onClose={() => setAsking(null)}
          onSubmit={(tags) => {
            setAsking(null);
            act({ does: 'tag', id: asking.item.id, tags });
          }}
        />
      )}
      {asking?.what === 'rename' && (
        <RigNameDialog
          title="Rename"
          submitLabel="Rename"
          initialName={asking.item.name}
          onClose={() => setAsking(null)}
          onSubmit={async ({ name }) => {
            const answer = await shelfDo({ does: 'rename', id: asking.item.id, name });
            if (!answer.ok) return answer.says;
            setAsking(null);
            router.refresh();
            return null;
          }}
        />
      )}
    </Box>
  );
};
