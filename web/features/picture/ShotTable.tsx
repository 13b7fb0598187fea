'use client';

import { Box, Table } from '@chakra-ui/react';
import type { Analysis } from '@echo-loom/core';
import type { SourceRow } from './rows';
import { Row } from './ShotRow';

interface Props {
  readonly analysis: Analysis;
  readonly rows: readonly SourceRow[];
  readonly chosen: string | null;
  readonly onChoose: (deviceId: string) => void;
}

/**
 * Every source of pictures with what it sends, and what each camera is to frame: all of it editable
 * where it stands.
 */
export const ShotTable = ({ analysis, rows, chosen, onChoose }: Props) => (
  <Box overflowX="auto">
    <Table.Root size="sm" variant="outline" aria-label="Sources and shots">
      <Table.Header>
        <Table.Row bg="paper.deep">
          {['Source', 'Format', 'Shot', 'Distance', 'Lens', 'Frames, m'].map((heading) => (
            <Table.ColumnHeader key={heading} px="1.5">
              {heading}
            </Table.ColumnHeader>
          ))}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {rows.map((row) => (
          <Row
            key={`${row.deviceId} ${row.formatControl}`}
            analysis={analysis}
            row={row}
            isChosen={row.deviceId === chosen}
            onChoose={onChoose}
          />
        ))}
      </Table.Body>
    </Table.Root>
  </Box>
);
