'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { packingCsv, packingList } from '@echo-loom/core';
import { useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';
import { saveFile } from '@/ui/saveFile';

/** One person carries so much; local rules may say less. @unit kg */
const USUAL_KG = 20;

/** What goes along to a show elsewhere: in which case, how heavy, and what is carried by itself. */
export const Packing = () => {
  const rig = useRig((state) => state.rig);
  const [mostKg, setMostKg] = useState(USUAL_KG);
  const [isOpen, setOpen] = useState(false);
  const list = packingList(rig, mostKg);
  const { cases, alone, supports, cables, stays } = list;
  const kg = (massKg: number | null): string =>
    massKg === null ? 'not known' : `${massKg.toFixed(1)} kg`;
  if (cases.length + alone.length === 0) return null;
  return (
    <Box as="section" aria-label="Packing" mt="6" maxW="60rem">
      <Flex align="center" gap="3" wrap="wrap" mb="2">
        <Text as="h3" fontWeight="600">
          Packing for a show elsewhere
        </Text>
        <Button
          size="xs"
          variant="outline"
          aria-expanded={isOpen}
          className="screen-only"
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'Fold away' : `Show ${cases.length} cases`}
        </Button>
        {isOpen && (
          <Button
            size="xs"
            variant="outline"
            className="screen-only"
            onClick={() => saveFile(`${rig.name} packing.csv`, 'text/csv', packingCsv(list))}
          >
            Packing as CSV
          </Button>
        )}
      </Flex>
      {isOpen && (
        <>
          <Box maxW="20rem" mb="2" className="screen-only">
            <NumberField
              label="A case holds at most"
              unit="kg"
              value={mostKg}
              min={1}
              max={200}
              onCommit={(value) => value !== null && setMostKg(value)}
            />
          </Box>
          <PlainTable
            label="Cases"
            headings={['Case', 'What is in it', 'Weight']}
            lines={[
              ...cases.map(({ name, things, massKg }) => ({
                id: name,
                head: name,
                cells: [things.map((thing) => thing.name).join(', '), kg(massKg)],
              })),
              ...alone.map((thing) => ({
                id: `alone ${thing.deviceId}`,
                head: thing.name,
                cells: ['by itself: two carry it', kg(thing.massKg)],
                isMarked: true,
              })),
              ...(supports.length === 0
                ? []
                : [{ id: 'stands', head: 'Stands', cells: [supports.join(', '), '–'] }]),
              ...(stays.length === 0
                ? []
                : [{ id: 'stays', head: 'Stays in the house', cells: [stays.join(', '), '–'] }]),
              ...(cables.length === 0
                ? []
                : [
                    {
                      id: 'cables',
                      head: 'Cables',
                      cells: [
                        cables
                          .map(({ name, lengthM, count }) => `${count} × ${name}, ${lengthM} m`)
                          .join('; '),
                        '–',
                      ],
                    },
                  ]),
            ]}
            note="Without the weight of the case itself. Over 20 kg two people carry; local rules may ask for more."
          />
        </>
      )}
    </Box>
  );
};
