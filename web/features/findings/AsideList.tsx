'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, inOrder } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { LevelMark } from '@/ui/LevelMark';

/** What somebody has put aside, with the reason; what is found no more is listed as well until it is taken off. */
export const AsideList = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const records = inOrder(analysis.rig.aside);
  if (records.length === 0) return null;
  const present = new Map(analysis.aside.map((one) => [one.id, one.finding]));
  return (
    <Box as="section" mt="6" maxW="760px" aria-label="Put aside">
      <Text as="h3" fontWeight="600" mb="1">
        Put aside: {analysis.aside.length}
      </Text>
      <Text fontSize="sm" color="ink.soft" mb="2">
        Each counts apart, and comes back as soon as its level or one of its figures changes.
      </Text>
      {records.map(([asideId, { title, level, reason }]) => {
        const finding = present.get(asideId);
        return (
          <Flex
            key={asideId}
            align="baseline"
            gap="2"
            py="1.5"
            borderTopWidth="1px"
            borderColor="rule"
          >
            <Box position="relative" top="2px">
              <LevelMark level={finding?.level ?? level} size={13} />
            </Box>
            <Box flex="1">
              <Text fontSize="sm" fontWeight="600">
                {finding?.title ?? title}
              </Text>
              <Text fontSize="sm">{finding?.says}</Text>
              <Text fontSize="sm" color="ink.soft">
                {reason}
                {!finding && ' It is not found any more as it was then.'}
              </Text>
            </Box>
            <Button
              size="xs"
              variant="outline"
              className="screen-only"
              aria-label={`${finding ? 'Take up again' : 'Take off the list'}: ${title}`}
              onClick={() => run({ type: 'removeAside', asideId })}
            >
              {finding ? 'Take up again' : 'Take off'}
            </Button>
          </Flex>
        );
      })}
    </Box>
  );
};
