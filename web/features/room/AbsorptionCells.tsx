'use client';

import { Table } from '@chakra-ui/react';
import { type Absorption, BANDS_HZ } from '@echo-loom/core';
import { cell } from '@/features/sound/SpotCells';
import { NumberField } from '@/ui/NumberField';

/** Bands as they are read: 125, 250, 500, 1k, 2k, 4k. */
export const BAND_NAMES: readonly string[] = BANDS_HZ.map((hz) =>
  hz < 1000 ? String(hz) : `${hz / 1000}k`,
);

interface Props {
  readonly name: string;
  readonly absorption: Absorption;
  readonly onSet: (absorption: Absorption) => void;
}

/** The absorption of something, band by band. */
export const AbsorptionCells = ({ name, absorption, onSet }: Props) =>
  BANDS_HZ.map((hz, band) => (
    <Table.Cell key={hz} {...cell}>
      <NumberField
        inCell
        label={`Absorption of ${name} at ${hz} Hz`}
        unit=""
        step={0.05}
        min={0}
        max={1}
        value={absorption[band] ?? 0}
        onCommit={(value) => {
          if (value === null) return;
          const next: Absorption = [...absorption];
          next[band] = value;
          onSet(next);
        }}
      />
    </Table.Cell>
  ));
