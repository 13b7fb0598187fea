'use client';

import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Box, Button, Checkbox, Flex, IconButton, Table, Text } from '@chakra-ui/react';
import { freeId, inOrder, noiseReadingSchema, type NoiseSource, type Rig } from '@echo-loom/core';
import { X } from 'lucide-react';
import { memo } from 'react';
import { cell, head } from '@/ui/SpotCells';

const READINGS = [
  { value: 'in the room', label: 'In the room' },
  { value: 'free field', label: 'On a data sheet' },
] as const satisfies readonly { value: NoiseSource['reading']; label: string }[];

const Places = ({ noises: all }: Pick<Rig, 'noises'>) => {
  const { run } = useRigSession();
  const noises = inOrder(all);
  const change = (noiseId: string, noise: Partial<Omit<NoiseSource, 'order'>>) =>
    run({ type: 'changeNoise', noiseId, noise });
  const add = () =>
    run({
      type: 'addNoise',
      noiseId: freeId('noise', all),
      noise: {
        name: `Noise ${noises.length + 1}`,
        dbaAt1m: 45,
        reading: 'in the room',
        at: null,
        heightM: null,
        runs: true,
      },
    });
  return (
    <Box mt="3">
      <Flex justify="space-between" align="baseline" mb="1">
        <Text as="h3" fontWeight="600">
          What makes noise
        </Text>
        <Button size="xs" variant="outline" onClick={add}>
          Add a noise
        </Button>
      </Flex>
      {noises.length === 0 ? (
        <Text fontSize="sm" color="ink.soft">
          Nothing yet. Add the fan, the fridge, the computer: each with its level at 1 m, by a meter
          or a phone held there.
        </Text>
      ) : (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label="What makes noise">
            {head(['Noise', 'At 1 m', 'Read', 'Across', 'Up the plan', 'Runs', ''])}
            <Table.Body>
              {noises.map(([id, { name, dbaAt1m, reading, at, runs }]) => {
                const place = (key: 'xM' | 'yM', label: string) => (
                  <Table.Cell {...cell}>
                    <NumberField
                      inCell
                      mayBeUnknown
                      label={`${label} of ${name}`}
                      unit="m"
                      step={0.1}
                      min={-1000}
                      max={1000}
                      value={at?.[key] ?? null}
                      onCommit={(value) =>
                        change(id, {
                          at: value === null ? null : { xM: 0, yM: 0, ...at, [key]: value },
                        })
                      }
                    />
                  </Table.Cell>
                );
                return (
                  <Table.Row key={id} bg="transparent" data-noise={id}>
                    <Table.Cell {...cell} minW="110px">
                      <NameField
                        hideLabel
                        label={`Name of ${name}`}
                        value={name}
                        onCommit={(next) => change(id, { name: next })}
                      />
                    </Table.Cell>
                    <Table.Cell {...cell}>
                      <NumberField
                        inCell
                        label={`Level of ${name} at 1 m`}
                        unit="dB(A)"
                        min={0}
                        max={150}
                        value={dbaAt1m}
                        onCommit={(value) => value !== null && change(id, { dbaAt1m: value })}
                      />
                    </Table.Cell>
                    <Table.Cell {...cell} minW="130px">
                      <ChoiceField
                        inCell
                        width="125px"
                        label={`Where the level of ${name} was read`}
                        value={reading}
                        options={READINGS}
                        onChoose={(next) => change(id, { reading: noiseReadingSchema.parse(next) })}
                      />
                    </Table.Cell>
                    {place('xM', 'Across')}
                    {place('yM', 'Up the plan')}
                    <Table.Cell {...cell}>
                      <Checkbox.Root
                        size="sm"
                        checked={runs}
                        onCheckedChange={({ checked }) => change(id, { runs: checked === true })}
                      >
                        <Checkbox.HiddenInput aria-label={`${name} runs during the show`} />
                        <Checkbox.Control />
                      </Checkbox.Root>
                    </Table.Cell>
                    <Table.Cell {...cell}>
                      <IconButton
                        size="xs"
                        variant="ghost"
                        aria-label={`Remove ${name}`}
                        title={`Remove ${name}`}
                        onClick={() => run({ type: 'removeNoise', noiseId: id })}
                      >
                        <X size={15} />
                      </IconButton>
                    </Table.Cell>
                  </Table.Row>
                );
              })}
            </Table.Body>
          </Table.Root>
        </Box>
      )}
    </Box>
  );
};

/** Where what makes noise stands, and how loud it is. */
export const NoisePlaces = memo(Places);
