'use client';

import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import {
  type Analysis,
  freeId,
  inOrder,
  type Opening,
  OPENINGS,
  type SimpleCommand,
  wallsOf,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Walkways } from './Walkways';

const WHAT = OPENINGS.map((value) => ({ value, label: value }));
const OPENS = [
  { value: 'in', label: 'swings in' },
  { value: 'out', label: 'swings out' },
  { value: 'slides', label: 'slides' },
  { value: 'no', label: 'stays shut' },
] as const;

/** What each kind usually is. Lengths in metres. */
const USUAL: Readonly<Record<Opening['what'], Omit<Opening, 'name' | 'wall' | 'order'>>> = {
  door: { what: 'door', alongM: 1, widthM: 0.9, bottomM: 0, heightM: 2.05, opens: 'in' },
  window: { what: 'window', alongM: 1, widthM: 1.2, bottomM: 0.9, heightM: 1.2, opens: 'no' },
  outlet: { what: 'outlet', alongM: 1, widthM: 0.16, bottomM: 0.3, heightM: 0.08, opens: 'no' },
  'network socket': {
    what: 'network socket',
    alongM: 1,
    widthM: 0.08,
    bottomM: 0.3,
    heightM: 0.08,
    opens: 'no',
  },
};

/** A value of a list, as its choice gives it back. */
const among = <T extends string>(list: readonly T[], value: string, usual: T): T =>
  list.find((one) => one === value) ?? usual;

/** Doors, windows and sockets in the walls, and the ways that are to stay free: typed. */
export const Openings = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { rig } = analysis;
  const walls = wallsOf(rig.shell?.corners ?? []).map(([a, b], index) => ({
    value: String(index),
    label: `from corner ${index + 1}, ${Math.hypot(b.xM - a.xM, b.yM - a.yM).toFixed(2)} m`,
  }));
  const change = (openingId: string, opening: Partial<Omit<Opening, 'order'>>) =>
    run({ type: 'changeOpening', openingId, opening });
  const add = (what: Opening['what']): SimpleCommand => {
    const name = `${what.charAt(0).toUpperCase()}${what.slice(1)}`;
    return {
      type: 'addOpening',
      openingId: freeId(what, rig.openings),
      opening: { name, wall: 0, ...USUAL[what] },
    };
  };
  if (walls.length === 0) return null;
  return (
    <Box as="section" aria-label="In the walls, and ways" mt="4">
      <Flex justify="space-between" align="center" gap="2" wrap="wrap" mb="1">
        <Text as="h2" fontWeight="600">
          In the walls, and ways
        </Text>
        <Flex gap="1.5" wrap="wrap">
          {OPENINGS.map((what) => (
            <Button key={what} size="xs" variant="outline" onClick={() => run(add(what))}>
              {`Add a ${what}`.replace('a outlet', 'an outlet')}
            </Button>
          ))}
        </Flex>
      </Flex>
      {Object.keys(rig.openings).length > 0 && (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label="In the walls">
            {head(['Name', 'What', 'Wall', 'Middle along it', 'Width', 'Opens', ''])}
            <Table.Body>
              {inOrder(rig.openings).map(([id, opening]) => (
                <Table.Row key={id} bg="transparent">
                  <Table.Cell {...cell} minW="110px">
                    <NameField
                      hideLabel
                      label={`Name of ${opening.name}`}
                      value={opening.name}
                      onCommit={(name) => change(id, { name })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <ChoiceField
                      inCell
                      width="120px"
                      label={`What ${opening.name} is`}
                      value={opening.what}
                      options={WHAT}
                      onChoose={(what) => change(id, { what: among(OPENINGS, what, 'door') })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <ChoiceField
                      inCell
                      width="150px"
                      label={`Wall of ${opening.name}`}
                      value={String(opening.wall)}
                      options={walls}
                      onChoose={(wall) => change(id, { wall: Number(wall) })}
                    />
                  </Table.Cell>
                  {(
                    [
                      ['alongM', 'Along the wall'],
                      ['widthM', 'Width'],
                    ] as const
                  ).map(([key, label]) => (
                    <Table.Cell key={key} {...cell}>
                      <NumberField
                        inCell
                        label={`${label} of ${opening.name}`}
                        unit="m"
                        step={0.05}
                        min={key === 'widthM' ? 0.01 : 0}
                        max={100}
                        value={opening[key]}
                        onCommit={(value) => value !== null && change(id, { [key]: value })}
                      />
                    </Table.Cell>
                  ))}
                  <Table.Cell {...cell}>
                    <ChoiceField
                      inCell
                      width="110px"
                      label={`How ${opening.name} opens`}
                      value={opening.opens}
                      options={OPENS}
                      onChoose={(opens) =>
                        change(id, {
                          opens: among(['in', 'out', 'slides', 'no'] as const, opens, 'no'),
                        })
                      }
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <Button
                      size="xs"
                      variant="outline"
                      aria-label={`Remove ${opening.name}`}
                      onClick={() => run({ type: 'removeOpening', openingId: id })}
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
      <Walkways analysis={analysis} />
    </Box>
  );
};
