import { Box, Table, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { WIDE } from './wide';

interface Line {
  readonly id: string;
  /** Names the line; heard before its cells */
  readonly head: ReactNode;
  readonly cells: readonly ReactNode[];
  readonly isMarked?: boolean;
}

interface Props {
  readonly label: string;
  readonly headings: readonly string[];
  readonly lines: readonly Line[];
  readonly note?: string;
}

/** Figures in rows, each row with a head of its own: to be read, not edited. */
export const PlainTable = ({ label, headings, lines, note }: Props) => (
  <Box {...WIDE}>
    <Table.Root size="sm" variant="outline" aria-label={label}>
      <Table.Header>
        <Table.Row bg="paper.deep">
          {headings.map((heading, index) => (
            <Table.ColumnHeader
              key={`${heading} ${index}`}
              px="1.5"
              fontSize="xs"
              lineHeight="1.25"
            >
              {heading}
            </Table.ColumnHeader>
          ))}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {lines.map(({ id, head, cells, isMarked = false }) => (
          <Table.Row key={id} bg={isMarked ? 'madder.wash' : 'transparent'} data-line={id}>
            <Table.ColumnHeader
              scope="row"
              px="1.5"
              py="1"
              fontWeight="600"
              fontSize="sm"
              lineHeight="1.25"
            >
              {head}
            </Table.ColumnHeader>
            {cells.map((cell, index) => (
              <Table.Cell key={index} px="1.5" py="1" className="figures" fontSize="0.75rem">
                {cell}
              </Table.Cell>
            ))}
          </Table.Row>
        ))}
      </Table.Body>
    </Table.Root>
    {note && (
      <Text fontSize="xs" color="ink.soft" mt="1">
        {note}
      </Text>
    )}
  </Box>
);
