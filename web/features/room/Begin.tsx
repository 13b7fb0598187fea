'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { BEGINNINGS } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';

/** Where nobody has drawn the room: rooms to begin with. */
export const Begin = () => {
  const { run } = useRigSession();
  return (
    <Box maxW="62ch" mx="auto" my="8">
      <Text as="h2" fontSize="lg" fontWeight="600">
        The room is not drawn yet.
      </Text>
      <Text mt="1" mb="3">
        Take the room that is most like yours, then type its sizes and what it is made of over it.
        From that comes how long it rings, what would help, and whether anybody stands outside.
      </Text>
      <Flex direction="column" gap="2">
        {BEGINNINGS.map(({ name, about, commands }) => (
          <Button
            key={name}
            variant="outline"
            justifyContent="start"
            height="auto"
            py="2"
            onClick={() =>
              run({ type: 'batch', label: `Began with a room: ${name}`, commands: [...commands] })
            }
          >
            <Text as="span" fontWeight="600" minW="150px" textAlign="start">
              {name}
            </Text>
            <Text as="span" fontWeight="400" color="ink.soft" whiteSpace="normal" textAlign="start">
              {about}
            </Text>
          </Button>
        ))}
      </Flex>
    </Box>
  );
};
