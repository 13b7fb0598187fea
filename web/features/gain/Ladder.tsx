'use client';

import { Box, Flex, Table, Text } from '@chakra-ui/react';
import { entry, ladderOf, stagesOf, type Analysis, type Rung, type Stage } from '@echo-loom/core';
import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { decibels } from './rows';

const LadderChart = dynamic(() => import('@/ui/LadderChart').then((module) => module.LadderChart), {
  ssr: false,
});

interface Props {
  readonly analysis: Analysis;
  readonly stage: Stage;
  /** The same voice as it was, where a change is being tried */
  readonly before: readonly Rung[] | null;
  /** What stands between the chart and its table */
  readonly children?: ReactNode;
}

const rungWords = ({ label, levelDb, unit, headroomDb }: Rung): string =>
  `${label} ${decibels(levelDb, unit)}, headroom ${decibels(headroomDb)}`;

const KEY: readonly (readonly [mark: string, says: string])[] = [
  ['▬ ▬', 'ceiling'],
  ['▲', 'peaks'],
  ['●', 'average, in the band of this talker'],
  ['■', 'noise so far'],
];

/** The gain ladder of one voice as a chart, with a table of the same figures for those who cannot see it. */
export const Ladder = ({ analysis, stage, before, children }: Props) => {
  const rungs = ladderOf(analysis, stage);
  const [source] = stagesOf(stage);
  const device = source && analysis.device(source.at.device);
  const personId = device?.personId ?? null;
  const spreadDb =
    (personId === null ? undefined : entry(analysis.rig.people, personId)?.spreadDb) ?? 0;
  const name = device?.name ?? '';
  return (
    <Box>
      <LadderChart
        label={`Gain ladder of ${name}: ` + rungs.map(rungWords).join('; ')}
        points={rungs}
        before={before}
        spreadDb={spreadDb}
      />
      <Flex gap="4" wrap="wrap" fontSize="xs" color="ink.soft" mb="2">
        {KEY.map(([mark, says]) => (
          <Text key={says}>
            <Text as="span" aria-hidden>
              {mark}
            </Text>{' '}
            {says}
          </Text>
        ))}
        {before && <Text>dotted thin: as it is now</Text>}
        <Text>dBu until the converter, dBFS after it</Text>
      </Flex>
      {children}
      <Box
        as="details"
        mt="2"
        {...{ open: true }}
        css={{ '& > summary': { cursor: 'pointer', fontSize: '13px', minHeight: '24px' } }}
      >
        <summary>The same as a table</summary>
        <Table.Root size="sm" aria-label={`Ladder of ${name}`}>
          <Table.Header>
            <Table.Row bg="paper.deep">
              {['Place', 'Average', 'Peaks', 'Ceiling', 'Headroom', 'Noise', 'Signal to noise'].map(
                (heading) => (
                  <Table.ColumnHeader key={heading} px="1.5" fontSize="xs">
                    {heading}
                  </Table.ColumnHeader>
                ),
              )}
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {rungs.map((rung) => (
              <Table.Row key={rung.stage.index} bg="transparent" data-rung={rung.label}>
                <Table.ColumnHeader scope="row" px="1.5" py="1" fontWeight="600" fontSize="xs">
                  {rung.label}
                </Table.ColumnHeader>
                {[
                  decibels(rung.levelDb, rung.unit),
                  decibels(rung.peakDb, rung.unit),
                  rung.ceilingDb === null ? 'none here' : decibels(rung.ceilingDb, rung.unit),
                  rung.ceilingDb === null ? '' : decibels(rung.headroomDb),
                  decibels(rung.noiseDb, rung.unit),
                  decibels(rung.snrDb),
                ].map((text, index) => (
                  <Table.Cell
                    key={index}
                    px="1.5"
                    py="1"
                    className="figures"
                    fontSize="11px"
                    whiteSpace="nowrap"
                  >
                    {text}
                  </Table.Cell>
                ))}
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
      </Box>
    </Box>
  );
};
