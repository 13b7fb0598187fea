'use client';

import { Box, Button, Table, Text } from '@chakra-ui/react';
import { CABLE_IDS, CABLES, freeId, inOrder, type OwnCable, type Rig } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

const KINDS = CABLE_IDS.filter((id) => id !== 'inside' && id !== 'radio').map((value) => ({
  value,
  label: CABLES[value].name,
}));

interface Props {
  readonly rig: Rig;
  /** Cables that nothing needs, by their id */
  readonly left: ReadonlyMap<string, number>;
}

/** Cables that are there already: they are taken before any is bought. */
export const InTheBox = ({ rig, left }: Props) => {
  const { run } = useRigSession();
  const change = (ownCableId: string, ownCable: Partial<Omit<OwnCable, 'order'>>) =>
    run({ type: 'changeOwnCable', ownCableId, ownCable });
  return (
    <Box as="section" aria-label="In the box" className="screen-only">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        In the box
      </Text>
      {Object.keys(rig.ownCables).length === 0 ? (
        <Text fontSize="sm">
          No cables are said to be there. Say them, and they are taken before any is bought.
        </Text>
      ) : (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label="Cables in the box">
            {head(['Cable', 'Length', 'Count', 'Left', ''])}
            <Table.Body>
              {inOrder(rig.ownCables).map(([id, { kind, lengthM, count }]) => {
                const name = `${lengthM} m of ${CABLES[kind].name}`;
                return (
                  <Table.Row key={id} bg="transparent">
                    <Table.Cell {...cell}>
                      <ChoiceField
                        inCell
                        width="190px"
                        label={`Kind of ${name}`}
                        value={kind}
                        options={KINDS}
                        onChoose={(value) => {
                          const found = KINDS.find((one) => one.value === value);
                          if (found) change(id, { kind: found.value });
                        }}
                      />
                    </Table.Cell>
                    <Table.Cell {...cell}>
                      <NumberField
                        inCell
                        label={`Length of ${name}`}
                        unit="m"
                        step={0.5}
                        min={0.1}
                        max={1000}
                        value={lengthM}
                        onCommit={(value) => value !== null && change(id, { lengthM: value })}
                      />
                    </Table.Cell>
                    <Table.Cell {...cell}>
                      <NumberField
                        inCell
                        isWhole
                        label={`How many of ${name}`}
                        unit=""
                        min={1}
                        max={1000}
                        value={count}
                        onCommit={(value) => value !== null && change(id, { count: value })}
                      />
                    </Table.Cell>
                    <Table.Cell {...cell} className="figures">
                      {left.get(id) ?? 0}
                    </Table.Cell>
                    <Table.Cell {...cell}>
                      <Button
                        size="xs"
                        variant="outline"
                        aria-label={`Take out ${name}`}
                        onClick={() => run({ type: 'removeOwnCable', ownCableId: id })}
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
      <Button
        size="xs"
        variant="outline"
        mt="1.5"
        onClick={() =>
          run({
            type: 'addOwnCable',
            ownCableId: freeId('cable', rig.ownCables),
            ownCable: { kind: 'balanced', lengthM: 5, count: 1 },
          })
        }
      >
        Add a cable that is there
      </Button>
    </Box>
  );
};
