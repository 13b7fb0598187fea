'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { inOrder, takeOut, type Analysis } from '@echo-loom/core';
import { FindingCard } from '@/features/findings/FindingCard';
import { CompareButton } from '@/features/library/Compare';
import { findingsOn, useLoomView } from '@/features/chosen/view';
import { takeOutOfThread } from '@/features/pointing/drop';
import { usePointing } from '@/features/pointing/pointing';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { carriedBy } from './carried';
import { Carries } from './Carries';
import { Controls } from './Controls';
import { DataSheet } from './DataSheet';
import { BehindNote } from '@/features/library/BehindNote';
import { Ownership } from './Ownership';
import { Ports } from './Ports';
import { Reminders } from './Reminders';
import { Section } from '@/features/words/Section';

interface Props {
  readonly analysis: Analysis;
  readonly deviceId: string;
  readonly onConnect: (portId: string | null) => void;
}

const NOBODY = '';

/** Everything about one device: findings first, then what it carries, then what can be changed. */
export const DeviceSheet = ({ analysis, deviceId, onConnect }: Props) => {
  const session = useRigSession();
  const { run } = session;
  const select = useLoomView((view) => view.select);
  const askFor = usePointing((pointing) => pointing.askFor);
  const device = analysis.rig.devices[deviceId];
  if (!device) return null;
  const findings = findingsOn(analysis, { kind: 'device', id: deviceId });
  const carried = carriedBy(analysis, deviceId);
  const owners = (
    collection: Readonly<Record<string, { name: string; order: number }>>,
    none: string,
  ) => [
    { value: NOBODY, label: none },
    ...inOrder(collection).map(([value, { name }]) => ({ value, label: name })),
  ];
  const assign = (personId: string | null, placeId: string | null) =>
    run({ type: 'assignDevice', deviceId, personId, placeId });
  return (
    <>
      <Text fontSize="sm" color="ink.soft">
        {device.model.name}
      </Text>
      <Box mt="1">
        <NameField
          label="Name of the device"
          hideLabel
          value={device.name}
          onCommit={(name) => run({ type: 'renameDevice', deviceId, name })}
        />
      </Box>
      <Text fontSize="sm" color="ink.soft" mt="1.5">
        {device.model.about}
      </Text>
      {device.model.own && <BehindNote own={device.model.own} />}
      {findings.length > 0 && (
        <Flex direction="column" gap="2.5" mt="3">
          {findings.map((finding, index) => (
            <FindingCard key={`${finding.code} ${index}`} analysis={analysis} finding={finding} />
          ))}
        </Flex>
      )}
      {carried.length > 0 && (
        <Section title="Carries">
          <Carries analysis={analysis} stages={carried} />
        </Section>
      )}
      {Object.keys(device.model.controls).length > 0 && (
        <Section title="Settings">
          <Controls deviceId={deviceId} />
        </Section>
      )}
      <Section title="Settings to repeat">
        <Reminders deviceId={deviceId} />
      </Section>
      <Section title="Belongs to">
        <Flex direction="column" gap="1.5">
          <ChoiceField
            label="Person"
            value={device.personId ?? NOBODY}
            options={owners(analysis.rig.people, 'Nobody')}
            onChoose={(id) => assign(id || null, device.placeId)}
          />
          <ChoiceField
            label="Place"
            value={device.placeId ?? NOBODY}
            options={owners(analysis.rig.places, 'Nowhere named')}
            onChoose={(id) => assign(device.personId, id || null)}
          />
          {Object.keys(analysis.rig.people).length === 0 && (
            <Text fontSize="xs" color="ink.soft">
              Name the people of the show under People; a voice needs a mouth to be computed.
            </Text>
          )}
        </Flex>
      </Section>
      <Section title="Brief and money">
        <Ownership rig={analysis.rig} deviceId={deviceId} device={device} />
      </Section>
      <Section title="Ports">
        <Ports analysis={analysis} deviceId={deviceId} onConnect={onConnect} />
      </Section>
      <Section title="Figures">
        <DataSheet deviceId={deviceId} device={device} />
      </Section>
      <Flex gap="2" mt="4" wrap="wrap">
        <Button size="sm" variant="outline" onClick={() => onConnect(null)}>
          Connect…
        </Button>
        <Button
          size="sm"
          variant="outline"
          onClick={() => askFor({ ask: 'what goes here', held: { deviceId, portId: null } })}
        >
          Add beside it…
        </Button>
        <CompareButton analysis={analysis} deviceId={deviceId} />
        {takeOut(analysis, deviceId).can && (
          <Button size="sm" variant="outline" onClick={() => takeOutOfThread(session, deviceId)}>
            Take out of its thread
          </Button>
        )}
        <Button
          size="sm"
          variant="outline"
          onClick={() => {
            if (run({ type: 'removeDevice', deviceId })) select(null);
          }}
        >
          Remove
        </Button>
      </Flex>
    </>
  );
};
