'use client';

import { Table } from '@chakra-ui/react';
import { type Absorption, BANDS_HZ, type Boundary } from '@echo-loom/core';
import { memo } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell } from '@/ui/SpotCells';
import { NumberField } from '@/ui/NumberField';

/** Bands as they are read: 125, 250, 500, 1k, 2k, 4k. */
export const BAND_NAMES: readonly string[] = BANDS_HZ.map((hz) =>
  hz < 1000 ? String(hz) : `${hz / 1000}k`,
);

interface Props {
  /** How it is called in labels */
  readonly label: string;
  readonly absorption: Absorption;
  /** Whose it is: a part of the room, which keeps the name of its material, or something put in */
  readonly of: Boundary | null;
  readonly material: string;
  readonly surfaceId: string | null;
}

/** The absorption of something, band by band. Drawn anew only where it changed: a room has many. */
export const AbsorptionCells = memo(function AbsorptionCells({
  label,
  absorption,
  of,
  material,
  surfaceId,
}: Props) {
  const { run } = useRigSession();
  const set = (band: number, value: number): void => {
    const next: Absorption = [...absorption];
    next[band] = value;
    if (of) run({ type: 'finishRoom', of, finish: { name: material, absorption: next } });
    else if (surfaceId !== null)
      run({ type: 'changeSurface', surfaceId, surface: { absorption: next } });
  };
  return BANDS_HZ.map((hz, band) => (
    <Table.Cell key={hz} {...cell}>
      <NumberField
        inCell
        label={`Absorption of ${label} at ${hz} Hz`}
        unit=""
        step={0.05}
        min={0}
        max={1}
        value={absorption[band] ?? 0}
        onCommit={(value) => value !== null && set(band, value)}
      />
    </Table.Cell>
  ));
});
