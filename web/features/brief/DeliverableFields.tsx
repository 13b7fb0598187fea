'use client';

import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Brief,
  DELIVERABLE_KINDS,
  freeId,
  inOrder,
  USUAL_DELIVERABLES,
} from '@echo-loom/core';
import { DELIVERABLES, oneOf } from './words';

import { ShowHeading } from './ShowHeading';
import { useTaken } from './taken';

/** What goes out, and how fast its bits come. */
export const DeliverableFields = ({ brief }: { readonly brief: Brief }) => {
  const { run } = useRigSession();
  const taken = useTaken(brief);
  return (
    <>
      <ShowHeading>To be delivered</ShowHeading>
      {inOrder(brief.deliverables).map(([deliverableId, deliverable]) => (
        <Flex
          key={deliverableId}
          gap="2"
          align="center"
          mb="1.5"
          role="group"
          aria-label={deliverable.name}
        >
          <Box flex="1">
            <NameField
              label={`Name of ${deliverable.name}`}
              hideLabel
              value={deliverable.name}
              onCommit={(name) =>
                run({ type: 'changeDeliverable', deliverableId, deliverable: { name } })
              }
            />
          </Box>
          {deliverable.bitrateMbps === null ? (
            <Text fontSize="xs" color="ink.soft" width="100px">
              {deliverable.codec}
            </Text>
          ) : (
            <NumberField
              inCell
              label={`Bitrate of ${deliverable.name}`}
              unit="Mb/s"
              value={deliverable.bitrateMbps}
              min={0.1}
              max={100000}
              onCommit={(bitrateMbps) =>
                bitrateMbps !== null &&
                run({ type: 'changeDeliverable', deliverableId, deliverable: { bitrateMbps } })
              }
            />
          )}
          <Button
            size="sm"
            variant="outline"
            aria-label={`Remove ${deliverable.name}`}
            onClick={() => run({ type: 'removeDeliverable', deliverableId })}
          >
            Remove
          </Button>
        </Flex>
      ))}
      <ChoiceField
        label="Add to deliver"
        value=""
        options={[{ value: '', label: 'Choose…' }, ...DELIVERABLES]}
        onChoose={(value) => {
          const what = oneOf(DELIVERABLE_KINDS, value);
          if (what)
            run({
              type: 'addDeliverable',
              deliverableId: freeId(what, taken),
              deliverable: USUAL_DELIVERABLES[what],
            });
        }}
      />
    </>
  );
};
