'use client';

import { Box, Button, Table, Text } from '@chakra-ui/react';
import { figure, type Analysis, type Stage } from '@echo-loom/core';
import { useMoney } from '@/features/rig/Studio';
import { useRigSession } from '@/features/rig/RigProvider';
import { SearchProgress } from '@/ui/Searching';
import { useSearch } from '@/workers/useSearch';
import { decibels } from './rows';

/** What could be done or bought for one voice, side by side, each tried with its gains set. */
export const Remedies = ({
  analysis,
  stage,
  name,
}: {
  readonly analysis: Analysis;
  readonly stage: Stage;
  readonly name: string;
}) => {
  const { run } = useRigSession();
  const money = useMoney();
  const { index } = stage;
  const search = useSearch({
    analysis,
    ask: (tasks, onProgress) => tasks.remedies(index, onProgress),
  });
  const about = `${index}`;
  const list = search.about === about && search.at.state === 'done' ? search.at.value : null;
  return (
    <Box mt="5" className="screen-only">
      <Text as="h2" fontSize="lg" fontWeight="600">
        What should I buy for {name}?
      </Text>
      {search.about === about && (
        <SearchProgress at={search.at} label="Trying everything" onCancel={search.cancel} />
      )}
      {search.about === about && search.at.state === 'working' ? null : list === null ? (
        <Button size="sm" variant="outline" mt="1" onClick={() => search.start(about)}>
          Try everything and compare
        </Button>
      ) : list.length === 0 ? (
        <Text fontSize="sm">Nothing in the catalogue can be tried here.</Text>
      ) : (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label={`Remedies for ${name}`}>
            <Table.Header>
              <Table.Row bg="paper.deep">
                {[
                  'Remedy',
                  'Price',
                  'Boxes more',
                  'Gain missing',
                  'Signal to noise',
                  'Over the room',
                  'Other voice',
                  '',
                ].map((heading) => (
                  <Table.ColumnHeader key={heading} px="1.5">
                    {heading}
                  </Table.ColumnHeader>
                ))}
              </Table.Row>
            </Table.Header>
            <Table.Body>
              {list.map((remedy) => (
                <Table.Row key={remedy.label} bg="transparent" data-remedy={remedy.label}>
                  <Table.Cell px="1.5" py="1">
                    <Text fontWeight="600" fontSize="sm" lineHeight="1.3">
                      {remedy.label}
                    </Text>
                    <Text fontSize="xs" color="ink.soft" lineHeight="1.3">
                      {remedy.says}
                    </Text>
                  </Table.Cell>
                  <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
                    {remedy.price === null
                      ? 'depends'
                      : remedy.price === 0
                        ? 'free'
                        : money(remedy.price)}
                  </Table.Cell>
                  <Table.Cell px="1.5" className="figures" fontSize="0.75rem">
                    {remedy.clutter}
                  </Table.Cell>
                  <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
                    {remedy.missingAfterDb === 0 ? 'none' : `${figure(remedy.missingAfterDb)} dB`}
                  </Table.Cell>
                  <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
                    {figure(remedy.snrAfterDb)} dB
                    {remedy.shortAfterDb > 0 && (
                      <Text as="span" display="block" color="level.stop">
                        {figure(remedy.shortAfterDb)} dB short of headroom
                      </Text>
                    )}
                  </Table.Cell>
                  <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
                    {decibels(remedy.overRoomAfterDb)}
                  </Table.Cell>
                  <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
                    {remedy.bleedAfterDb === null ? '?' : `${figure(remedy.bleedAfterDb)} dB`}
                  </Table.Cell>
                  <Table.Cell px="1.5">
                    <Button
                      size="xs"
                      variant="outline"
                      aria-label={`Do it: ${remedy.label}`}
                      onClick={() => run(remedy.command)}
                    >
                      Do it
                    </Button>
                  </Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
        </Box>
      )}
    </Box>
  );
};
