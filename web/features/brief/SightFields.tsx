'use client';

import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { Box, Button, Flex } from '@chakra-ui/react';
import { type Brief, freeId, inOrder, SHOTS, SIGHT_KINDS } from '@echo-loom/core';
import { oneOf, SHOT_OPTIONS, SIGHTS } from './words';

import { ShowHeading } from './ShowHeading';
import { useTaken } from './taken';

/** What is to be seen besides faces. */
export const SightFields = ({ brief }: { readonly brief: Brief }) => {
  const { run } = useRigSession();
  const taken = useTaken(brief);
  return (
    <>
      <ShowHeading>To be seen besides faces</ShowHeading>
      {inOrder(brief.sights).map(([sightId, sight]) => (
        <Box
          key={sightId}
          role="group"
          aria-label={sight.name}
          borderWidth="1px"
          borderColor="rule"
          bg="paper.card"
          p="2.5"
          mb="2"
        >
          <Flex gap="2" align="end" mb="1.5">
            <Box flex="1">
              <NameField
                label="Name of what is seen"
                hideLabel
                value={sight.name}
                onCommit={(name) => run({ type: 'changeSight', sightId, sight: { name } })}
              />
            </Box>
            <Button
              size="sm"
              variant="outline"
              aria-label={`Remove ${sight.name}`}
              onClick={() => run({ type: 'removeSight', sightId })}
            >
              Remove
            </Button>
          </Flex>
          <Flex direction="column" gap="1.5">
            <ChoiceField
              label="What"
              value={sight.what}
              options={SIGHTS}
              onChoose={(value) =>
                run({ type: 'changeSight', sightId, sight: { what: oneOf(SIGHT_KINDS, value) } })
              }
            />
            <ChoiceField
              label="Shot"
              value={sight.shot}
              options={SHOT_OPTIONS}
              onChoose={(value) =>
                run({ type: 'changeSight', sightId, sight: { shot: oneOf(SHOTS, value) } })
              }
            />
          </Flex>
        </Box>
      ))}
      <Button
        size="sm"
        variant="outline"
        onClick={() =>
          run({
            type: 'addSight',
            sightId: freeId('sight', taken),
            sight: {
              name: `Sight ${Object.keys(brief.sights).length + 1}`,
              what: 'table',
              shot: 'close',
              at: null,
              people: [],
            },
          })
        }
      >
        Add something to see
      </Button>
    </>
  );
};
