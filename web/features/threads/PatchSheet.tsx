'use client';

import { Text } from '@chakra-ui/react';
import { type Analysis, cableNumbers, CABLES, patchOrder, portAt } from '@echo-loom/core';
import { useMemo } from 'react';
import { DataTable, tableColumns } from '@/ui/DataTable';

type CableRow = Readonly<Record<'number' | 'from' | 'to' | 'kind' | 'length', string>>;

const COLUMNS = tableColumns<CableRow>([
  { key: 'number', heading: 'Cable', figures: true },
  { key: 'from', heading: 'From' },
  { key: 'to', heading: 'To' },
  { key: 'kind', heading: 'Kind' },
  { key: 'length', heading: 'Length', figures: true },
]);

const cableRows = ({ rig }: Analysis): CableRow[] => {
  const numbers = cableNumbers(rig);
  return patchOrder(rig)
    .filter(([id]) => numbers.has(id))
    .map(([id, link]) => ({
      number: String(numbers.get(id)),
      from: `${rig.devices[link.from.deviceId]?.name ?? ''}, ${portAt(rig, link.from)?.name ?? ''}`,
      to: `${rig.devices[link.to.deviceId]?.name ?? ''}, ${portAt(rig, link.to)?.name ?? ''}`,
      kind: CABLES[link.cable.kind].name,
      length: `${link.cable.lengthM} m`,
    }));
};

/** Every cable in the order a person would plug them. */
export const PatchSheet = ({ analysis }: { readonly analysis: Analysis }) => {
  const cables = useMemo(() => cableRows(analysis), [analysis]);
  return cables.length === 0 ? (
    <Text>No cables yet.</Text>
  ) : (
    <DataTable label="Patch sheet" columns={COLUMNS} rows={cables} />
  );
};
