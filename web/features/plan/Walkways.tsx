'use client';

import { Box, Button, Table } from '@chakra-ui/react';
import { type Analysis, freeId, inOrder, type Walkway } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';

const ENDS = { from: 'Begin', to: 'End' } as const;
const AXES = { xM: 'across', yM: 'up the plan' } as const;

/** Ways that are to stay free, from a point to a point: typed. */
export const Walkways = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { walkways } = analysis.rig;
  const change = (walkwayId: string, walkway: Partial<Omit<Walkway, 'order'>>) =>
    run({ type: 'changeWalkway', walkwayId, walkway });
  const add = () =>
    run({
      type: 'addWalkway',
      walkwayId: freeId('way', walkways),
      walkway: { name: 'Way', from: { xM: 1, yM: 1 }, to: { xM: 1, yM: 2 }, widthM: 0.9 },
    });
  return (
    <Box mt="2">
      {Object.keys(walkways).length > 0 && (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label="Ways that stay free">
            {head(['Way', 'From across', 'From up', 'To across', 'To up', 'Width', ''])}
            <Table.Body>
              {inOrder(walkways).map(([id, way]) => {
                const end = (which: 'from' | 'to', key: 'xM' | 'yM') => (
                  <Table.Cell {...cell}>
                    <NumberField
                      inCell
                      label={`${ENDS[which]} of ${way.name}, ${AXES[key]}`}
                      unit="m"
                      step={0.1}
                      min={-1000}
                      max={1000}
                      value={way[which][key]}
                      onCommit={(value) =>
                        value !== null && change(id, { [which]: { ...way[which], [key]: value } })
                      }
                    />
                  </Table.Cell>
                );
                return (
                  <Table.Row key={id} bg="transparent">
                    <Table.Cell {...cell} minW="110px">
                      <NameField
                        hideLabel
                        label={`Name of the way ${way.name}`}
                        value={way.name}
                        onCommit={(name) => change(id, { name })}
                      />
                    </Table.Cell>
                    {end('from', 'xM')}
                    {end('from', 'yM')}
                    {end('to', 'xM')}
                    {end('to', 'yM')}
                    <Table.Cell {...cell}>
                      <NumberField
                        inCell
                        label={`Width of ${way.name}`}
                        unit="m"
                        step={0.1}
                        min={0.1}
                        max={20}
                        value={way.widthM}
                        onCommit={(widthM) => widthM !== null && change(id, { widthM })}
                      />
                    </Table.Cell>
                    <Table.Cell {...cell}>
                      <Button
                        size="xs"
                        variant="outline"
                        aria-label={`Remove the way ${way.name}`}
                        onClick={() => run({ type: 'removeWalkway', walkwayId: id })}
                      >
                        Remove
                      </Button>
                    </Table.Cell>
                  </Table.Row>
                );
              })}
            </Table.Body>
          </Table.Root>
        </Box>
      )}
      <Button size="xs" variant="outline" mt="1.5" onClick={add}>
        Add a way that stays free
      </Button>
    </Box>
  );
};
