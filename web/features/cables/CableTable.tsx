'use client';

import { Box, Table, Text } from '@chakra-ui/react';
import { type Analysis, CHANGE_MIN, type Dressing, DRESSINGS, laid } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { LedBy } from './LedBy';
import type { CableRow } from './rows';

const HELD = DRESSINGS.map((value) => ({ value, label: value }));
const isDressing = (value: string): value is Dressing =>
  DRESSINGS.some((dressing) => dressing === value);

interface Props {
  readonly analysis: Analysis;
  readonly rows: readonly CableRow[];
}

/** Every cable: how long it is, how long its way asks it to be, and how it is held. Editable in place. */
export const CableTable = ({ analysis, rows }: Props) => {
  const { run } = useRigSession();
  const hold = ({ linkId }: CableRow, dressing: Dressing) =>
    run(laid(analysis.rig, linkId, { dressing }));
  return (
    <Box overflowX="auto">
      <Table.Root size="sm" variant="outline" aria-label="Cables">
        {head([
          'No.',
          'From',
          'To',
          'Is',
          'The way asks',
          'Sold as',
          'Cable',
          'Led; held',
          'Change',
        ])}
        <Table.Body>
          {rows.map((row) => (
            <Table.Row key={row.linkId} bg="transparent" data-cable={row.linkId}>
              <Table.Cell {...cell} className="figures">
                {row.number}
              </Table.Cell>
              <Table.Cell {...cell}>{row.from}</Table.Cell>
              <Table.Cell {...cell}>{row.to}</Table.Cell>
              <Table.Cell {...cell}>
                <NumberField
                  inCell
                  label={`Length of cable ${row.number}, from ${row.from}`}
                  unit="m"
                  step={0.5}
                  min={0}
                  max={5000}
                  value={row.link.cable.lengthM}
                  onCommit={(lengthM) =>
                    lengthM !== null &&
                    run({
                      type: 'setCable',
                      linkId: row.linkId,
                      cable: { kind: row.link.cable.kind, lengthM },
                    })
                  }
                />
              </Table.Cell>
              <Table.Cell
                {...cell}
                className="figures"
                whiteSpace="nowrap"
                title={row.way || undefined}
                color={row.isShort ? 'madder' : row.soldM === null ? 'ink.soft' : undefined}
                fontWeight={row.isShort ? '600' : undefined}
              >
                {row.asks}
                {row.isShort ? ' ✕' : ''}
                {row.isShort && (
                  <Text as="span" srOnly>
                    , too short
                  </Text>
                )}
              </Table.Cell>
              <Table.Cell {...cell} className="figures" whiteSpace="nowrap">
                {row.soldM === null ? '—' : `${row.soldM} m`}
              </Table.Cell>
              <Table.Cell {...cell}>{row.kind}</Table.Cell>
              <Table.Cell {...cell}>
                <LedBy rig={analysis.rig} row={row} />
                <ChoiceField
                  inCell
                  width="132px"
                  label={`How cable ${row.number} is held`}
                  value={row.dressing}
                  options={HELD}
                  onChoose={(value) => isDressing(value) && hold(row, value)}
                />
              </Table.Cell>
              <Table.Cell {...cell} className="figures" whiteSpace="nowrap">
                {CHANGE_MIN[row.dressing]} min
              </Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
    </Box>
  );
};
