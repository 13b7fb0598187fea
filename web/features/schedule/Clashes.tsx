import { Box, Flex, Text } from '@chakra-ui/react';
import type { AgendaShow, Clash, ThingFinding } from '@echo-loom/core';
import Link from 'next/link';
import { LevelMark } from '@/ui/LevelMark';

interface Props {
  readonly clashes: readonly Clash[];
  readonly things: readonly ThingFinding[];
  readonly shows: readonly AgendaShow[];
}

/** What two shows want at once: people, the room, things. */
export const Clashes = ({ clashes, things, shows }: Props) => {
  const nameOf = new Map(shows.map(({ rigId, rigName }) => [rigId, rigName]));
  if (clashes.length + things.length === 0)
    return (
      <Text fontSize="sm" mb="4">
        {shows.length === 0 ? '' : 'No person, no room and no thing is wanted twice on a day.'}
      </Text>
    );
  return (
    <Box as="section" aria-label="Wanted twice" mb="5">
      <Heading2>Wanted twice</Heading2>
      <Flex as="ul" direction="column" gap="2" listStyleType="none">
        {clashes.map(({ on, level, says, sum, rigIds }) => (
          <Flex as="li" key={`${on} ${says}`} gap="2" align="start">
            <LevelMark level={level} />
            <Box>
              <Text fontSize="sm">
                <span className="figures">{on}</span> {says}
              </Text>
              <Text fontSize="xs" color="ink.soft">
                {sum}
              </Text>
              <Flex gap="3" fontSize="xs" className="screen-only">
                {rigIds.map((rigId) => (
                  <Link
                    key={rigId}
                    href={`/rigs/${rigId}/brief`}
                    prefetch={false}
                    style={{ textDecoration: 'underline' }}
                  >
                    Days of {nameOf.get(rigId)}
                  </Link>
                ))}
              </Flex>
            </Box>
          </Flex>
        ))}
        {things.map(({ thingId, says, sum, level }) => (
          <Flex as="li" key={thingId} gap="2" align="start">
            <LevelMark level={level} />
            <Box>
              <Text fontSize="sm">{says}</Text>
              <Text fontSize="xs" color="ink.soft">
                {sum}
              </Text>
              <Link
                href="/things"
                prefetch={false}
                style={{ textDecoration: 'underline', fontSize: '0.75rem' }}
              >
                Things: what can be done
              </Link>
            </Box>
          </Flex>
        ))}
      </Flex>
    </Box>
  );
};

const Heading2 = ({ children }: { readonly children: string }) => (
  <Text as="h2" fontWeight="600" mb="2">
    {children}
  </Text>
);
