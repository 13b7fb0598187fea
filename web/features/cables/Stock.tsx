'use client';

import { Box, Button, Table, Text } from '@chakra-ui/react';
import {
  type Analysis,
  CABLE_IDS,
  CABLES,
  cableNumbers,
  cableStock,
  csvOf,
  freeId,
  inOrder,
  type OwnCable,
} from '@echo-loom/core';
import { useMemo } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { useMoney } from '@/features/rig/Studio';
import { cell, head } from '@/features/sound/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { saveFile } from '@/ui/saveFile';

const KINDS = CABLE_IDS.filter((id) => id !== 'inside' && id !== 'radio').map((value) => ({
  value,
  label: CABLES[value].name,
}));

/** Cables that are in the box, and those that are still to be bought. */
export const Stock = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const money = useMoney();
  const { rig } = analysis;
  const stock = useMemo(() => cableStock(rig), [rig]);
  const numbers = useMemo(() => cableNumbers(rig), [rig]);
  const numbersOf = (linkIds: readonly string[]): string =>
    linkIds
      .map((id) => numbers.get(id) ?? 0)
      .sort((a, b) => a - b)
      .join(', ');
  const total = stock.toBuy.reduce((sum, { price }) => sum + price, 0);
  const change = (ownCableId: string, ownCable: Partial<Omit<OwnCable, 'order'>>) =>
    run({ type: 'changeOwnCable', ownCableId, ownCable });
  const save = () =>
    saveFile(
      `${rig.name}, cables to buy.csv`,
      'text/csv',
      csvOf(
        ['Count', 'Cable', 'Length m', 'Price', 'For cables'],
        stock.toBuy.map(({ count, kind, lengthM, price, linkIds }) => [
          count,
          CABLES[kind].name,
          lengthM,
          price,
          numbersOf(linkIds),
        ]),
      ),
    );
  return (
    <>
      <Box as="section" aria-label="To buy">
        <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
          To buy
        </Text>
        {stock.toBuy.length === 0 ? (
          <Text fontSize="sm">Nothing: what is in the box does.</Text>
        ) : (
          <>
            <Box overflowX="auto">
              <Table.Root size="sm" variant="outline" aria-label="Cables to buy">
                {head(['Count', 'Cable', 'Length', 'For cables', 'About'])}
                <Table.Body>
                  {stock.toBuy.map(({ kind, lengthM, count, price, linkIds }) => (
                    <Table.Row key={`${kind} ${lengthM}`} bg="transparent">
                      <Table.Cell {...cell} className="figures">
                        {count}
                      </Table.Cell>
                      <Table.Cell {...cell}>{CABLES[kind].name}</Table.Cell>
                      <Table.Cell {...cell} className="figures" whiteSpace="nowrap">
                        {lengthM} m
                      </Table.Cell>
                      <Table.Cell {...cell} className="figures">
                        {numbersOf(linkIds)}
                      </Table.Cell>
                      <Table.Cell {...cell} className="figures">
                        {money(price)}
                      </Table.Cell>
                    </Table.Row>
                  ))}
                </Table.Body>
              </Table.Root>
            </Box>
            <Text fontSize="sm" mt="1">
              {`About ${money(total)} together, at typical prices. ${stock.own.size} come out of the box.`}
            </Text>
            <Button size="xs" variant="outline" mt="1.5" className="screen-only" onClick={save}>
              Save as CSV
            </Button>
          </>
        )}
      </Box>
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
                        {stock.left.get(id) ?? 0}
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
    </>
  );
};
