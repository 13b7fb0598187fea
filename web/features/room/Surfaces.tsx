'use client';

import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import {
  BOUNDARIES,
  type Boundary,
  type BuiltRoom,
  figure,
  finish,
  freeId,
  MATERIALS,
  type Surface,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { AbsorptionCells, BAND_NAMES } from './AbsorptionCells';
import { choices } from './materials';
import { WIDE } from '@/ui/wide';

const PARTS: Readonly<Record<Boundary, string>> = {
  floor: 'Floor',
  ceiling: 'Ceiling',
  walls: 'Walls',
};
const COVERS = [
  { value: 'walls', label: 'walls' },
  { value: 'ceiling', label: 'ceiling' },
  { value: 'floor', label: 'floor' },
  { value: 'nothing', label: 'nothing' },
] as const;

/** A new thing begins as large as this, or as what is left of what it covers. @unit m² */
const BEGINS_M2 = 4;
const CHOOSE = '';

/** What the room is made of, and what was put in that takes up sound. */
export const Surfaces = ({ built }: { readonly built: BuiltRoom }) => {
  const { run } = useRigSession();
  const { shell, surfaces, areasM2, freeM2 } = built;
  const change = (surfaceId: string, surface: Partial<Omit<Surface, 'order'>>) =>
    run({ type: 'changeSurface', surfaceId, surface });
  const add = (name: string) => {
    const material = MATERIALS.find((one) => one.name === name);
    if (!material) return;
    const { covers } = material;
    const left = covers === 'nothing' ? BEGINS_M2 : freeM2[covers];
    run({
      type: 'addSurface',
      surfaceId: freeId(name, Object.fromEntries(surfaces.map(({ id }) => [id, true]))),
      surface: {
        ...finish(name),
        covers,
        areaM2: left > 0 ? Math.min(BEGINS_M2, Math.floor(left * 10) / 10 || left) : BEGINS_M2,
      },
    });
  };
  return (
    <Box>
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        What takes up sound
      </Text>
      <Box {...WIDE}>
        <Table.Root size="sm" variant="outline" aria-label="What the room is made of">
          {head(['Made of', '', 'm²', ...BAND_NAMES])}
          <Table.Body>
            {BOUNDARIES.map((part) => (
              <Table.Row key={part} bg="transparent">
                <Table.ColumnHeader scope="row" {...cell} fontWeight="600" fontSize="sm">
                  {PARTS[part]}
                </Table.ColumnHeader>
                <Table.Cell {...cell} minW="200px">
                  <ChoiceField
                    inCell
                    label={`${PARTS[part]}: made of`}
                    value={shell[part].name}
                    options={choices('built', shell[part].name)}
                    onChoose={(name) =>
                      name !== shell[part].name &&
                      run({ type: 'finishRoom', of: part, finish: finish(name) })
                    }
                  />
                </Table.Cell>
                <Table.Cell {...cell} className="figures" fontSize="0.75rem">
                  {figure(Math.max(0, freeM2[part]))}
                  {freeM2[part] === areasM2[part] ? '' : ` of ${figure(areasM2[part])}`}
                </Table.Cell>
                <AbsorptionCells
                  label={PARTS[part]}
                  absorption={shell[part].absorption}
                  of={part}
                  material={shell[part].name}
                  surfaceId={null}
                />
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
      </Box>
      <Flex mt="4" mb="1" justify="space-between" align="center" gap="2" wrap="wrap">
        <Text as="h3" fontWeight="600">
          Hung, laid and put in
        </Text>
        <ChoiceField
          inCell
          label="Put something in"
          width="230px"
          value={CHOOSE}
          options={[{ value: CHOOSE, label: 'Put something in…' }, ...choices('put in', null)]}
          onChoose={add}
        />
      </Flex>
      {surfaces.length === 0 ? (
        <Text fontSize="sm" color="ink.soft">
          Nothing yet. Put in windows, carpets, curtains, panels and the people on chairs.
        </Text>
      ) : (
        <Box {...WIDE}>
          <Table.Root size="sm" variant="outline" aria-label="What was put into the room">
            {head(['What', 'Covers', 'Area', ...BAND_NAMES, ''])}
            <Table.Body>
              {surfaces.map(({ id, name, covers, areaM2, absorption }) => (
                <Table.Row key={id} bg="transparent" data-surface={id}>
                  <Table.Cell {...cell} minW="170px">
                    <NameField
                      hideLabel
                      label={`Name of ${name}`}
                      value={name}
                      onCommit={(next) => change(id, { name: next })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <ChoiceField
                      inCell
                      width="92px"
                      label={`${name} covers`}
                      value={covers}
                      options={COVERS}
                      onChoose={(value) => {
                        const next = COVERS.find((option) => option.value === value);
                        if (next) change(id, { covers: next.value });
                      }}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <NumberField
                      inCell
                      label={`Area of ${name}`}
                      unit="m²"
                      step={0.5}
                      min={0.01}
                      max={100_000}
                      value={areaM2}
                      onCommit={(value) => value !== null && change(id, { areaM2: value })}
                    />
                  </Table.Cell>
                  <AbsorptionCells
                    label={name}
                    absorption={absorption}
                    of={null}
                    material={name}
                    surfaceId={id}
                  />
                  <Table.Cell {...cell}>
                    <Button
                      size="xs"
                      variant="outline"
                      aria-label={`Take ${name} out`}
                      onClick={() => run({ type: 'removeSurface', surfaceId: id })}
                    >
                      Take out
                    </Button>
                  </Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
        </Box>
      )}
      <Text fontSize="xs" color="ink.soft" mt="1">
        Shares of the sound that are not sent back, in octave bands: typical of the material, to be
        typed over from a data sheet. People and sofas cover nothing and count by their own area.
        Panels keep sound in the room from ringing; they keep none out. Fix what hangs overhead so
        that it cannot fall, and ask what the house’s fire rules allow.
      </Text>
    </Box>
  );
};
