'use client';

import { Box, Flex, Table, Text } from '@chakra-ui/react';
import { type Analysis, entry, figure, settingOf, wayToEars, type Ears } from '@echo-loom/core';
import Link from 'next/link';
import { FindingCard } from '@/features/findings/FindingCard';
import { useRig, useRigId, useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { Beside } from './Beside';
import { findingsOfEars, listenerRows, timeText } from './rows';

/** The volume where a pair of headphones is plugged in, editable where it stands. */
const Volume = ({ analysis, pair }: { readonly analysis: Analysis; readonly pair: Ears }) => {
  const { run } = useRigSession();
  const { port } = pair.node;
  const node = pair.node.device;
  const device = analysis.device(node);
  const controlId = port.family === 'analogue' ? port.earVolumeControl : undefined;
  const control = controlId === undefined ? undefined : entry(device.model.controls, controlId);
  if (controlId === undefined || control?.type !== 'gain')
    return (
      <Text fontSize="xs" color="ink.soft">
        not described
      </Text>
    );
  const value = settingOf(device, controlId);
  return (
    <NumberField
      inCell
      label={`Volume of ${device.name}`}
      unit="dB"
      min={control.minDb}
      max={control.maxDb}
      step={control.stepDb}
      value={typeof value === 'number' ? value : null}
      onCommit={(next) =>
        next !== null &&
        run({ type: 'setControl', deviceId: node.id, control: controlId, value: next })
      }
    />
  );
};

const figures = {
  className: 'figures',
  fontSize: '12px',
  px: '1.5',
  whiteSpace: 'nowrap',
} as const;

/** Who hears what, how loud, how late, and for how long it may be heard. */
export const MonitoringView = () => {
  const analysis = useRig((state) => state.analysis);
  const rigId = useRigId();
  const rows = listenerRows(analysis);
  const findings = findingsOfEars(analysis);
  if (rows.length === 0)
    return (
      <Box m="auto" textAlign="center" maxW="46ch" p="6">
        <Text fontWeight="600" fontSize="lg">
          Nobody is in the show yet.
        </Text>
        <Text mt="1">
          Name the people under{' '}
          <Link href={`/rigs/${rigId}/people`}>
            <Text as="span" textDecoration="underline">
              People
            </Text>
          </Link>{' '}
          and give each their headphones. Then what they hear is traced here.
        </Text>
      </Box>
    );
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="6" align="start" direction={{ base: 'column', lg: 'row' }}>
        <Box flex="1.8" minW="0" width="100%">
          <Text as="h2" fontSize="lg" fontWeight="600">
            Who hears what
          </Text>
          <Text fontSize="sm" color="ink.soft" mb="2">
            Traced through the rig. Times follow the usual 85 dB for eight hours, half as long for
            every 3 dB more: a caution, not medicine; local rules for work decide.
          </Text>
          <Box overflowX="auto">
            <Table.Root size="sm" variant="outline" aria-label="Listeners">
              <Table.Header>
                <Table.Row bg="paper.deep">
                  {['Listener', 'Hears', 'Volume', 'At the ear', 'May be heard', 'Own voice'].map(
                    (heading) => (
                      <Table.ColumnHeader key={heading} px="1.5">
                        {heading}
                      </Table.ColumnHeader>
                    ),
                  )}
                </Table.Row>
              </Table.Header>
              <Table.Body>
                {rows.flatMap((row) =>
                  (row.ears.length ? row.ears : [null]).map((pair) => (
                    <Table.Row
                      key={`${row.personId} ${pair?.node.index ?? ''}`}
                      bg="transparent"
                      data-listener={row.personId}
                    >
                      <Table.ColumnHeader scope="row" px="1.5" fontWeight="600">
                        {row.name}
                        <Text
                          as="span"
                          display="block"
                          fontWeight="400"
                          fontSize="xs"
                          color="ink.soft"
                        >
                          {pair
                            ? analysis.device(pair.node.device).name
                            : row.isRemote
                              ? 'remote, by a call'
                              : 'no headphones'}
                        </Text>
                      </Table.ColumnHeader>
                      <Table.Cell px="1.5" fontSize="sm">
                        {row.hears}
                        {row.sharesWith.length > 0 && (
                          <Text as="span" display="block" fontSize="xs" color="ink.soft">
                            the same mix as {row.sharesWith.join(', ')}
                          </Text>
                        )}
                        {pair?.heard[0] && (
                          <Text as="span" display="block" fontSize="xs" color="ink.soft">
                            {wayToEars(analysis, pair.heard[0])}
                          </Text>
                        )}
                      </Table.Cell>
                      <Table.Cell px="1.5">
                        {pair && <Volume analysis={analysis} pair={pair} />}
                      </Table.Cell>
                      <Table.Cell {...figures} data-ear={row.personId}>
                        {pair ? (pair.spl === null ? 'not known' : `${figure(pair.spl)} dB`) : ''}
                      </Table.Cell>
                      <Table.Cell {...figures}>{pair ? timeText(pair.hours) : ''}</Table.Cell>
                      <Table.Cell {...figures}>
                        {pair
                          ? pair.ownVoiceMs === null
                            ? 'not heard'
                            : `${figure(pair.ownVoiceMs)} ms late`
                          : ''}
                      </Table.Cell>
                    </Table.Row>
                  )),
                )}
              </Table.Body>
            </Table.Root>
          </Box>
          <Beside analysis={analysis} />
        </Box>
        <Box flex="1" minW="280px" width="100%" role="region" aria-label="About hearing">
          {findings.length === 0 ? (
            <Text fontSize="sm">Nothing is wrong with what people hear.</Text>
          ) : (
            <Flex direction="column" gap="2.5">
              {findings.map((finding, index) => (
                <FindingCard
                  key={`${finding.code} ${index}`}
                  analysis={analysis}
                  finding={finding}
                />
              ))}
            </Flex>
          )}
        </Box>
      </Flex>
    </Box>
  );
};
