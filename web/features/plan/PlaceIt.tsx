'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Analysis } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { SearchProgress } from '@/ui/Searching';
import { useSearch } from '@/workers/useSearch';

/** Everybody and everything placed in the drawn room, tried in many ways and judged; taken with one press. */
export const PlaceIt = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const search = useSearch({
    analysis,
    ask: (tasks, onProgress) => tasks.place(onProgress),
  });
  const found = search.at.state === 'done' ? search.at.value : undefined;
  const isNobody = Object.keys(analysis.rig.people).length === 0;
  return (
    <Box as="section" aria-label="Place it for me" borderWidth="1px" borderColor="rule" p="3">
      <Flex justify="space-between" align="center" gap="2">
        <Text as="h2" fontWeight="600">
          Nothing needs to start from an empty floor
        </Text>
        <Button
          size="sm"
          disabled={isNobody || search.at.state === 'working'}
          onClick={() => search.start('the room')}
        >
          Place it for me
        </Button>
      </Flex>
      <Text fontSize="sm" color="ink.soft">
        {isNobody
          ? 'Say who is in the show first, under People.'
          : 'Seats, a table, arms, tripods and the gear, in the walls as they are drawn. What it ' +
            'proposes can be moved afterwards, and taken back.'}
      </Text>
      <SearchProgress at={search.at} label="Trying ways to place it" onCancel={search.cancel} />
      {found === null && (
        <Text role="status" fontSize="sm" mt="1">
          Nothing could be placed: draw the room first, large enough to stand in.
        </Text>
      )}
      {found && (
        <Flex role="status" gap="3" align="center" mt="1" wrap="wrap">
          <Text fontSize="sm" flex="1" minW="180px">
            {found.says}
          </Text>
          <Button
            size="sm"
            onClick={() =>
              run({
                type: 'batch',
                label: 'Placed everything in the room.',
                commands: [...found.commands],
              })
            }
          >
            Put it so
          </Button>
        </Flex>
      )}
    </Box>
  );
};
