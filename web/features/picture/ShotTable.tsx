'use client';

import { Box, Table } from '@chakra-ui/react';
import type { Analysis } from '@echo-loom/core';
import { Fragment } from 'react';
import type { SourceRow } from './rows';
import { Row } from './ShotRow';

interface Props {
  readonly analysis: Analysis;
  readonly rows: readonly SourceRow[];
  readonly chosen: string | null;
  readonly onChoose: (deviceId: string) => void;
}

const HEADINGS = ['Source', 'Format', 'Shot', 'Distance', 'Lens', 'Frames, m'];

/**
 * Every source of pictures with what it sends, and what each camera is to frame: all of it editable
 * where it stands.
 */
export const ShotTable = ({ analysis, rows, chosen, onChoose }: Props) => {
  const groups = [
    { name: 'Cameras', of: rows.filter(({ isCamera }) => isCamera) },
    { name: 'Players and callers', of: rows.filter(({ isCamera }) => !isCamera) },
  ].filter(({ of }) => of.length > 0);
  return (
    <Box overflowX="auto">
      <Table.Root size="sm" variant="outline" aria-label="Cameras and shots">
        <Table.Header>
          <Table.Row bg="paper.deep">
            {HEADINGS.map((heading) => (
              <Table.ColumnHeader key={heading} px="1.5">
                {heading}
              </Table.ColumnHeader>
            ))}
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {groups.map(({ name, of }) => (
            <Fragment key={name}>
              {groups.length > 1 && (
                <Table.Row bg="transparent">
                  <Table.ColumnHeader
                    colSpan={HEADINGS.length}
                    scope="rowgroup"
                    px="1.5"
                    py="1"
                    fontSize="xs"
                    fontWeight="400"
                    color="ink.soft"
                  >
                    {name}
                  </Table.ColumnHeader>
                </Table.Row>
              )}
              {of.map((row) => (
                <Row
                  key={`${row.deviceId} ${row.formatControl}`}
                  analysis={analysis}
                  row={row}
                  isChosen={row.deviceId === chosen}
                  onChoose={onChoose}
                />
              ))}
            </Fragment>
          ))}
        </Table.Body>
      </Table.Root>
    </Box>
  );
};
