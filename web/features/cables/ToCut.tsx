'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import {
  type Analysis,
  cableNumbers,
  cablePlans,
  CABLES,
  type Cut,
  cutEnds,
  cutList,
  csvOf,
  DRUM_M,
  type ToCut as Line,
} from '@echo-loom/core';
import { useMemo } from 'react';
import { useMoney } from '@/features/rig/Studio';
import { PlainTable } from '@/ui/PlainTable';
import { saveFile } from '@/ui/saveFile';

const metres = (lengthM: number): string => `${lengthM.toFixed(1)} m`;

/** Cables that are cut from a drum instead of bought: how long each is, and which come off one drum. */
export const ToCut = ({ analysis }: { readonly analysis: Analysis }) => {
  const money = useMoney();
  const { rig } = analysis;
  const list = useMemo(() => cutList(rig, cablePlans(analysis)), [rig, analysis]);
  const numbers = useMemo(() => cableNumbers(rig), [rig]);
  if (list.length === 0) return null;
  const numbered = (cuts: readonly Cut[]): string =>
    cuts.map((cut) => `${numbers.get(cut.linkId) ?? '?'}: ${metres(cut.lengthM)}`).join(', ');
  const drumsText = ({ drums, atLeastDrums, tooLong }: Line): string =>
    [
      `${drums.length} ${drums.length === 1 ? 'drum' : 'drums'} of ${DRUM_M} m` +
        (drums.length > atLeastDrums ? `, no fewer than ${atLeastDrums}` : ''),
      ...(tooLong.length > 0 ? [`longer than a drum: ${numbered(tooLong)}`] : []),
    ].join('; ');
  const save = () =>
    saveFile(
      `${rig.name}, cables to cut.csv`,
      'text/csv',
      csvOf(
        ['Cable', 'Drum', 'Number', 'Length m', 'Ends'],
        list.flatMap(({ kind, drums, tooLong }) =>
          [...drums, ...tooLong.map((cut) => [cut])].flatMap((cuts, drum) =>
            cuts.map((cut) => [
              CABLES[kind].name,
              drum + 1,
              numbers.get(cut.linkId) ?? '',
              Number(cut.lengthM.toFixed(1)),
              cutEnds(rig, cut),
            ]),
          ),
        ),
      ),
    );
  return (
    <Box as="section" aria-label="To cut">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        To cut, where you make them yourself
      </Text>
      <PlainTable
        label="Cables to cut"
        headings={['Cable', 'Together', 'Plugs', 'About']}
        lines={list.map((line) => ({
          id: line.kind,
          head: CABLES[line.kind].name,
          cells: [metres(line.lengthM), String(line.plugs), money(line.price)],
        }))}
      />
      {list.map((line) => (
        <Box key={line.kind} mt="1.5">
          <Text fontSize="sm">
            {CABLES[line.kind].name}: {drumsText(line)}
          </Text>
          <Box as="ol" fontSize="xs" ps="5" listStyleType="decimal" className="figures">
            {line.drums.map((cuts) => (
              <li key={cuts.map(({ linkId }) => linkId).join(' ')}>{numbered(cuts)}</li>
            ))}
          </Box>
        </Box>
      ))}
      <Text fontSize="xs" color="ink.soft" mt="1">
        The number of a cable, and how long it is cut: what its way asks with slack, up to the next
        0.1 m. Cables in the box are left out.
      </Text>
      <Button size="xs" variant="outline" mt="1.5" className="screen-only" onClick={save}>
        Save as CSV
      </Button>
    </Box>
  );
};
