'use client';

import { Box, Flex, IconButton, Menu, Portal, Text } from '@chakra-ui/react';
import type { SmallPicture } from '@/layout/small-picture';
import type { Verdict } from '@echo-loom/core';
import { Ellipsis } from 'lucide-react';
import Link from 'next/link';
import { VerdictLine } from '@/ui/VerdictLine';
import { RigPicture } from './RigPicture';

interface Props {
  readonly id: string;
  readonly name: string;
  /** null while it is being worked out */
  readonly verdict: Verdict | null;
  readonly devices: number | null;
  /** When changed, in words */
  readonly changed: string;
  readonly tags: readonly string[];
  readonly picture: SmallPicture | null;
  readonly onRename: () => void;
  readonly onTag: () => void;
  readonly onDuplicate: () => void;
  readonly onDelete: () => void;
}

const EXPORTS = [
  ['json', 'Export the rig (JSON)'],
  ['csv', 'Export the patch sheet (CSV)'],
  ['dot', 'Export the graph (DOT)'],
] as const;

/** A rig on the shelf. */
export const RigCard = ({
  id,
  name,
  verdict,
  devices,
  changed,
  tags,
  picture,
  onRename,
  onTag,
  onDuplicate,
  onDelete,
}: Props) => (
  <Box
    as="article"
    aria-label={name}
    borderWidth="1px"
    borderColor="rule"
    bg="paper.card"
    position="relative"
    _hover={{ borderColor: 'rule.strong' }}
  >
    <Box asChild display="block" px="3" pt="3" pb="1">
      <Link href={`/rigs/${id}`} prefetch={false}>
        <Box height="104px" overflow="hidden">
          {picture && <RigPicture of={picture} />}
        </Box>
        <Text as="h2" fontWeight="600" fontSize="lg" mt="2" pr="9" truncate>
          {name}
        </Text>
        {verdict ? (
          <VerdictLine verdict={verdict} />
        ) : (
          <Text fontSize="sm" color="ink.soft">
            Being worked out…
          </Text>
        )}
        {tags.length > 0 && (
          <Text fontSize="xs" color="ink.soft" mt="1" truncate>
            {tags.join(' · ')}
          </Text>
        )}
      </Link>
    </Box>
    <Flex px="3" pb="2" justify="space-between" align="center" fontSize="sm" color="ink.soft">
      <Text>
        {devices !== null && `${devices} ${devices === 1 ? 'device' : 'devices'} · `}
        {changed}
      </Text>
      <Menu.Root>
        <Menu.Trigger asChild>
          <IconButton size="xs" variant="ghost" aria-label={`More for ${name}`}>
            <Ellipsis size={16} />
          </IconButton>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content borderWidth="1px" borderColor="rule.strong">
              <Menu.Item value="rename" onClick={onRename}>
                Rename
              </Menu.Item>
              <Menu.Item value="tag" onClick={onTag}>
                Tags…
              </Menu.Item>
              <Menu.Item value="duplicate" onClick={onDuplicate}>
                Duplicate
              </Menu.Item>
              {EXPORTS.map(([as, label]) => (
                <Menu.Item key={as} value={as} asChild>
                  <a href={`/api/rigs/${id}/export?as=${as}`} download>
                    {label}
                  </a>
                </Menu.Item>
              ))}
              <Menu.Item value="delete" onClick={onDelete}>
                Delete
              </Menu.Item>
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
    </Flex>
  </Box>
);
