'use client';

import { NumberField } from './NumberField';
import { Table } from '@chakra-ui/react';
import type { Spot } from '@echo-loom/core';

const HERE: Spot = { xM: 0, yM: 0, facingDeg: 0 };

export const cell = { px: '1.5', py: '1' } as const;

export const head = (headings: readonly string[]) => (
  <Table.Header>
    <Table.Row bg="paper.deep">
      {headings.map((heading) => (
        <Table.ColumnHeader key={heading} px="1.5" fontSize="xs">
          {heading}
        </Table.ColumnHeader>
      ))}
    </Table.Row>
  </Table.Header>
);

export interface SpotCellsProps {
  readonly name: string;
  readonly at: Spot | null;
  readonly onMove: (at: Spot | null) => void;
}

/** Where somebody is and which way they look. An emptied field forgets the place. */
export const SpotCells = ({ name, at, onMove }: SpotCellsProps) => {
  const field = (key: keyof Spot, label: string, unit: string, step: number, limit: number) => (
    <Table.Cell {...cell}>
      <NumberField
        inCell
        mayBeUnknown
        label={`${label} of ${name}`}
        unit={unit}
        step={step}
        min={-limit}
        max={limit}
        value={at?.[key] ?? null}
        onCommit={(value) => onMove(value === null ? null : { ...(at ?? HERE), [key]: value })}
      />
    </Table.Cell>
  );
  return (
    <>
      {field('xM', 'Across', 'm', 0.1, 1000)}
      {field('yM', 'Up the plan', 'm', 0.1, 1000)}
      {field('facingDeg', 'Facing', '°', 10, 360)}
    </>
  );
};
