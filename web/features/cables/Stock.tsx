'use client';

import { Box, Button, Table, Text } from '@chakra-ui/react';
import {
  type Analysis,
  type CableId,
  CABLES,
  cableNumbers,
  cableStock,
  csvOf,
} from '@echo-loom/core';
import { useMemo } from 'react';
import { useMoney } from '@/features/rig/Studio';
import { cell, head } from '@/ui/SpotCells';
import { saveFile } from '@/ui/saveFile';
import { InTheBox } from './InTheBox';

const joinName = (kind: CableId): string => `Join, ${CABLES[kind].name}`;

/** Cables that are in the box, and those that are still to be bought. */
export const Stock = ({ analysis }: { readonly analysis: Analysis }) => {
  const money = useMoney();
  const { rig } = analysis;
  const stock = useMemo(() => cableStock(rig), [rig]);
  const numbers = useMemo(() => cableNumbers(rig), [rig]);
  const numbersOf = (linkIds: readonly string[]): string =>
    linkIds
      .map((id) => numbers.get(id) ?? 0)
      .sort((a, b) => a - b)
      .join(', ');
  const total = [...stock.toBuy, ...stock.joins].reduce((sum, { price }) => sum + price, 0);
  const save = () =>
    saveFile(
      `${rig.name}, cables to buy.csv`,
      'text/csv',
      csvOf(
        ['Count', 'Cable', 'Length m', 'Price', 'For cables'],
        [
          ...stock.toBuy.map(({ count, kind, lengthM, price, linkIds }) => [
            count,
            CABLES[kind].name,
            lengthM,
            price,
            numbersOf(linkIds),
          ]),
          ...stock.joins.map(({ count, kind, price, linkIds }) => [
            count,
            joinName(kind),
            '',
            price,
            numbersOf(linkIds),
          ]),
        ],
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
                  {stock.joins.map(({ kind, count, price, linkIds }) => (
                    <Table.Row key={`join ${kind}`} bg="transparent">
                      <Table.Cell {...cell} className="figures">
                        {count}
                      </Table.Cell>
                      <Table.Cell {...cell}>{joinName(kind)}</Table.Cell>
                      <Table.Cell {...cell}>—</Table.Cell>
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
      <InTheBox rig={rig} left={stock.left} />
    </>
  );
};
