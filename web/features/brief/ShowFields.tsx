'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  DELIVERABLE_KINDS,
  freeId,
  inOrder,
  SHOTS,
  SIGHT_KINDS,
  SWITCHED_BY,
  USUAL_DELIVERABLES,
  type Brief,
} from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { CUTS, DELIVERABLES, FORMS, oneOf, ROOMS, SHOT_OPTIONS, SIGHTS, SWITCHERS } from './words';

const Heading = ({ children }: { readonly children: string }) => (
  <Text as="h2" fontSize="md" fontWeight="600" mt="5" mb="1.5">
    {children}
  </Text>
);

/** The answers of the brief, each editable where it stands. */
export const ShowFields = ({ brief }: { readonly brief: Brief }) => {
  const { run } = useRigSession();
  const rig = useRig((state) => state.rig);
  const taken = {
    ...rig.people,
    ...rig.places,
    ...rig.devices,
    ...brief.sights,
    ...brief.deliverables,
  };
  const write = (changes: Partial<Omit<Brief, 'sights' | 'deliverables'>>) =>
    run({ type: 'writeBrief', brief: changes });
  return (
    <Box>
      <Heading>The show</Heading>
      <Flex direction="column" gap="1.5">
        <ChoiceField
          label="Form"
          value={brief.form}
          options={FORMS}
          onChoose={(value) => write({ form: oneOf(['live', 'recorded', 'both'] as const, value) })}
        />
        <ChoiceField
          label="Cut"
          value={brief.cut}
          options={CUTS}
          onChoose={(value) =>
            write({ cut: oneOf(['long form', 'clips', 'long form and clips'] as const, value) })
          }
        />
        <NumberField
          label="Length"
          unit="min"
          value={brief.lengthMin}
          min={1}
          max={1440}
          step={5}
          onCommit={(value) => value !== null && write({ lengthMin: value })}
        />
        <NumberField
          label="Shows a month"
          unit=""
          value={brief.showsPerMonth}
          min={0}
          max={200}
          onCommit={(value) => value !== null && write({ showsPerMonth: value })}
        />
        <ChoiceField
          label="Who switches"
          value={brief.switchedBy}
          options={SWITCHERS}
          onChoose={(value) => write({ switchedBy: oneOf(SWITCHED_BY, value) })}
        />
        <NumberField
          label="Set-up time allowed"
          unit="min"
          value={brief.setUpMin}
          min={0}
          max={1440}
          step={5}
          onCommit={(value) => value !== null && write({ setUpMin: value })}
        />
        <NumberField
          label="Line out of the building"
          unit="Mb/s"
          mayBeUnknown
          value={brief.uplinkMbps}
          min={0.1}
          max={100000}
          onCommit={(value) => write({ uplinkMbps: value })}
        />
        <ChoiceField
          label="Room"
          value={brief.room}
          options={ROOMS}
          onChoose={(value) => write({ room: oneOf(['shared', 'fixed'] as const, value) })}
        />
      </Flex>

      <Heading>To be seen besides faces</Heading>
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
              people: [],
            },
          })
        }
      >
        Add something to see
      </Button>

      <Heading>To be delivered</Heading>
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
    </Box>
  );
};
