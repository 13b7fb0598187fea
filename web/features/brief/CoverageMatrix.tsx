'use client';

import { Box, Table, Text } from '@chakra-ui/react';
import type { CoverageLine, Need } from '@echo-loom/core';
import { LevelMark } from '@/ui/LevelMark';

const MARKS = { met: 'well', partly: 'warn', missing: 'stop' } as const;
const WORDS = { met: 'Met', partly: 'Partly', missing: 'Missing' } as const;
const PERSON_NEEDS: readonly (readonly [Need, string])[] = [
  ['seen', 'Is seen'],
  ['heard', 'Is heard'],
  ['hears', 'Hears'],
  ['sees', 'Sees'],
];

interface CellProps {
  readonly line: CoverageLine | undefined;
  readonly isChosen: boolean;
  readonly onChoose: (id: string) => void;
}

/** One need of one person or thing: verdict in shape, colour and word, and what satisfies it. */
const Cell = ({ line, isChosen, onChoose }: CellProps) => (
  <Table.Cell
    verticalAlign="top"
    p="0"
    borderWidth="1px"
    borderColor="rule"
    bg={isChosen ? 'madder.wash' : undefined}
  >
    {line ? (
      <Box asChild p="2" minH="12" width="100%" textAlign="start" cursor="pointer" display="block">
        <button
          type="button"
          aria-pressed={isChosen}
          data-line={line.id}
          data-coverage={line.verdict}
          onClick={() => onChoose(line.id)}
        >
          <Box as="span" display="flex" alignItems="center" gap="1.5">
            <LevelMark level={MARKS[line.verdict]} label="" size={13} />
            <Text as="span" fontWeight="600" fontSize="sm">
              {WORDS[line.verdict]}
            </Text>
          </Box>
          <Text as="span" display="block" fontSize="xs" color="ink.soft" lineHeight="1.35" mt="0.5">
            {line.says}
          </Text>
        </button>
      </Box>
    ) : (
      <Text fontSize="xs" color="ink.soft" p="2">
        Not asked for
      </Text>
    )}
  </Table.Cell>
);

interface Props {
  readonly lines: readonly CoverageLine[];
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}

/** People by needs, then things to see and to deliver: what the brief asks for, and whether the threads give it. */
export const CoverageMatrix = ({ lines, chosen, onChoose }: Props) => {
  const people = [
    ...new Map(
      lines
        .filter(({ subject }) => subject.kind === 'person')
        .map(({ subject }) => [subject.id, subject]),
    ).values(),
  ];
  const things = lines.filter(({ subject }) => subject.kind !== 'person');
  const cell = (line: CoverageLine | undefined, key: string) => (
    <Cell
      key={key}
      line={line}
      isChosen={line !== undefined && line.id === chosen}
      onChoose={onChoose}
    />
  );
  return (
    <>
      <Table.Root size="sm" aria-label="Coverage of people" tableLayout="fixed">
        <Table.Header>
          <Table.Row bg="paper.deep">
            <Table.ColumnHeader width="18%">Person</Table.ColumnHeader>
            {PERSON_NEEDS.map(([need, heading]) => (
              <Table.ColumnHeader key={need}>{heading}</Table.ColumnHeader>
            ))}
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {people.map((person) => (
            <Table.Row key={person.id} bg="transparent">
              <Table.ColumnHeader scope="row" verticalAlign="top" fontWeight="600">
                {person.name}
              </Table.ColumnHeader>
              {PERSON_NEEDS.map(([need]) =>
                cell(
                  lines.find(({ id }) => id === `person:${person.id}:${need}`),
                  need,
                ),
              )}
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
      {things.length > 0 && (
        <Table.Root
          size="sm"
          aria-label="Coverage of sights and deliverables"
          tableLayout="fixed"
          mt="3"
        >
          <Table.Header>
            <Table.Row bg="paper.deep">
              <Table.ColumnHeader width="18%">Thing</Table.ColumnHeader>
              <Table.ColumnHeader width="18%">Need</Table.ColumnHeader>
              <Table.ColumnHeader>Verdict</Table.ColumnHeader>
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {things.map((line) => (
              <Table.Row key={line.id} bg="transparent">
                <Table.ColumnHeader scope="row" verticalAlign="top" fontWeight="600">
                  {line.subject.name}
                </Table.ColumnHeader>
                <Table.Cell verticalAlign="top">
                  {line.need === 'shown' ? 'Is shown' : 'Is delivered'}
                </Table.Cell>
                {cell(line, line.id)}
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
      )}
    </>
  );
};
