'use client';

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { ImportProblem } from '@echo-loom/core';
import Link from 'next/link';

interface Props {
  readonly rigId: string;
  readonly problems: readonly ImportProblem[];
}

/** Shown in place of a rig that cannot be read: why, and its file. */
export const Unreadable = ({ rigId, problems }: Props) => (
  <Box as="main" maxW="64ch" mx="auto" mt="12vh" px="5">
    <Heading as="h1" size="xl">
      This rig cannot be read
    </Heading>
    <Text my="3">
      It is kept as it is, and every other rig works. Its file can be saved and looked at.
    </Text>
    <Box as="ul" pl="4" listStyleType="disc" maxH="40vh" overflowY="auto" mb="4">
      {problems.map(({ path, says }, index) => (
        <Text as="li" key={index} fontSize="sm">
          <Text as="code" className="figures">
            {path}
          </Text>
          : {says}
        </Text>
      ))}
    </Box>
    <Flex gap="3">
      <Button asChild bg="madder" color="madder.ink">
        <a href={`/api/rigs/${rigId}/raw`} download>
          Save its file
        </a>
      </Button>
      <Button asChild variant="outline">
        <Link href="/">To the shelf</Link>
      </Button>
    </Flex>
  </Box>
);
