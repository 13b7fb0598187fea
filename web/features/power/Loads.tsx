'use client';

import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import {
  type Analysis,
  type Charger,
  CHARGER_CLASSES,
  freeId,
  inOrder,
  type Load,
} from '@echo-loom/core';
import { HadCell } from '@/features/things/HadCell';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Switched } from '@/ui/Switched';
import { fedByOf, fedChoices, valueOf } from './fed';

/** What a charger does, typed in place. */
const Charges = ({
  name,
  charges,
  onChange,
}: {
  readonly name: string;
  readonly charges: Charger;
  readonly onChange: (charges: Charger) => void;
}) => (
  <>
    <NumberField
      inCell
      isWhole
      label={`Slots of ${name}`}
      unit="slots"
      min={1}
      max={24}
      value={charges.slots}
      onCommit={(slots) => slots !== null && onChange({ ...charges, slots })}
    />
    <NumberField
      inCell
      label={`How long a charge in ${name} takes`}
      unit="h"
      step={0.5}
      min={0.1}
      max={48}
      value={charges.chargeH}
      onCommit={(chargeH) => chargeH !== null && onChange({ ...charges, chargeH })}
    />
  </>
);

/** What else is on the mains: kiln, heater, lamps. */
export const Loads = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { loads } = analysis.rig;
  const change = (loadId: string, load: Partial<Omit<Load, 'order'>>) =>
    run({ type: 'changeLoad', loadId, load });
  return (
    <Box as="section" aria-label="Also on the mains">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Also on the mains
      </Text>
      {Object.keys(loads).length === 0 ? (
        <Text fontSize="sm" mb="1">
          Nothing but the devices of the rig. A heater or a kettle on the same circuit counts too.
        </Text>
      ) : (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label="Other things on the mains">
            {head(['Name', 'At most', 'Fed by', 'During the show', 'Charges', 'Had, for', ''])}
            <Table.Body>
              {inOrder(loads).map(([id, load]) => (
                <Table.Row key={id} bg="transparent">
                  <Table.Cell {...cell} minW="110px">
                    <NameField
                      hideLabel
                      label={`Name of ${load.name}`}
                      value={load.name}
                      onCommit={(name) => change(id, { name })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <NumberField
                      inCell
                      label={`Power of ${load.name}`}
                      unit="W"
                      step={100}
                      min={0}
                      max={100_000}
                      value={load.mostW}
                      onCommit={(mostW) => mostW !== null && change(id, { mostW })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <ChoiceField
                      inCell
                      width="160px"
                      label={`What feeds ${load.name}`}
                      value={valueOf(load.from)}
                      options={fedChoices(analysis.rig, true)}
                      onChoose={(value) => change(id, { from: fedByOf(value) })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <Switched
                      label={load.runs ? 'on' : 'off'}
                      isOn={load.runs}
                      onTurn={(runs) => change(id, { runs })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell} whiteSpace="nowrap">
                    {load.charges ? (
                      <Charges
                        name={load.name}
                        charges={load.charges}
                        onChange={(charges) => change(id, { charges })}
                      />
                    ) : (
                      '—'
                    )}
                  </Table.Cell>
                  <HadCell
                    name={load.name}
                    had={load.had}
                    onChange={(had) => change(id, { had })}
                  />
                  <Table.Cell {...cell}>
                    <Button
                      size="xs"
                      variant="outline"
                      aria-label={`Remove ${load.name}`}
                      onClick={() => run({ type: 'removeLoad', loadId: id })}
                    >
                      Remove
                    </Button>
                  </Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
        </Box>
      )}
      <Flex gap="2" mt="1.5" wrap="wrap">
        <Button
          size="xs"
          variant="outline"
          onClick={() =>
            run({
              type: 'addLoad',
              loadId: freeId('load', loads),
              load: { name: 'Heater', mostW: 1000, powerFactor: null, from: null, runs: true },
            })
          }
        >
          Add something
        </Button>
        {CHARGER_CLASSES.map(({ id, name, mostW, charges, price }) => (
          <Button
            key={id}
            size="xs"
            variant="outline"
            onClick={() =>
              run({
                type: 'addLoad',
                loadId: freeId(id, loads),
                load: {
                  name,
                  mostW,
                  powerFactor: null,
                  from: null,
                  runs: true,
                  charges,
                  had: { ownership: 'to buy', price },
                },
              })
            }
          >
            Add a {name.toLowerCase()}
          </Button>
        ))}
      </Flex>
    </Box>
  );
};
