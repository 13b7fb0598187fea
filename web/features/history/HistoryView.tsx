'use client';

import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { format } from 'date-fns';
import { Fragment, useState } from 'react';

/** Where undo ends: what an earlier version wrote and no upgrade reached. */
const Boundary = () => (
  <Text as="li" py="2" fontSize="sm" fontWeight="600">
    What follows was done in an earlier version of Echo Loom. It can be read, and no longer taken
    back.
  </Text>
);

/** Everything that was done to the rig, as sentences, latest first. */
export const HistoryView = () => {
  const session = useRigSession();
  const history = useRig((state) => state.history);
  const earlier = useRig((state) => state.earlier);
  const may = useRig((state) => state.may);
  const [isLoading, setLoading] = useState(false);
  const lines = [...history].reverse();
  const more = async () => {
    setLoading(true);
    await session.loadEarlier();
    setLoading(false);
  };
  return (
    <Box overflowY="auto" p="4" flex="1" tabIndex={0} role="region" aria-label="History">
      <Flex gap="3" align="center" mb="3">
        <Text as="h2" fontSize="lg" fontWeight="600">
          History
        </Text>
        <Button size="sm" variant="outline" disabled={!may.undo} onClick={session.undo}>
          Undo
        </Button>
        <Button size="sm" variant="outline" disabled={!may.redo} onClick={session.redo}>
          Redo
        </Button>
      </Flex>
      {lines.length === 0 && <Text>Nothing has been changed yet.</Text>}
      <Box as="ol" listStyleType="none" maxW="760px">
        {lines.map((line, index) => (
          <Fragment key={line.id}>
            {line.version === 0 && lines[index - 1]?.version !== 0 && <Boundary />}
            <Flex as="li" gap="4" py="1" borderBottomWidth="1px" borderColor="rule" fontSize="sm">
              <Text
                className="figures"
                color="ink.soft"
                fontSize="xs"
                width="110px"
                flex="none"
                pt="0.5"
              >
                {line.at ? format(new Date(line.at), 'd MMM HH:mm:ss') : 'not saved yet'}
              </Text>
              <Text color={line.command?.type === 'revert' ? 'ink.soft' : 'ink'}>{line.says}</Text>
            </Flex>
          </Fragment>
        ))}
      </Box>
      {earlier > 0 && (
        <Flex gap="3" align="center" mt="3">
          <Button size="sm" variant="outline" loading={isLoading} onClick={() => void more()}>
            Show earlier
          </Button>
          <Text fontSize="sm" color="ink.soft">
            {earlier.toLocaleString('en')} earlier.
          </Text>
        </Flex>
      )}
    </Box>
  );
};
