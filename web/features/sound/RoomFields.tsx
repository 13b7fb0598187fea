'use client';

import { Box, Button, Checkbox, Flex, Table, Text } from '@chakra-ui/react';
import { freeId, inOrder, type NoiseSource, type Rig, type Spot } from '@echo-loom/core';
import { memo } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';

const HERE: Spot = { xM: 0, yM: 0, facingDeg: 0 };
const cell = { px: '1.5', py: '1' } as const;
const head = (headings: readonly string[]) => (
  <Table.Header>
    <Table.Row bg="paper.deep">
      {headings.map((heading) => (
        <Table.ColumnHeader key={heading} px="1.5" fontSize="xs">
          {heading}
        </Table.ColumnHeader>
      ))}
    </Table.Row>
  </Table.Header>
);

interface SpotCellsProps {
  readonly name: string;
  readonly at: Spot | null;
  readonly onMove: (at: Spot | null) => void;
}

/** Where somebody is and which way they look. An emptied field forgets the place. */
const SpotCells = ({ name, at, onMove }: SpotCellsProps) => {
  const field = (key: keyof Spot, label: string, unit: string, step: number, limit: number) => (
    <Table.Cell {...cell}>
      <NumberField
        inCell
        mayBeUnknown
        label={`${label} of ${name}`}
        unit={unit}
        step={step}
        min={-limit}
        max={limit}
        value={at?.[key] ?? null}
        onCommit={(value) => onMove(value === null ? null : { ...(at ?? HERE), [key]: value })}
      />
    </Table.Cell>
  );
  return (
    <>
      {field('xM', 'Across', 'm', 0.1, 1000)}
      {field('yM', 'Up the plan', 'm', 0.1, 1000)}
      {field('facingDeg', 'Facing', '°', 10, 360)}
    </>
  );
};

interface PlaceRowProps extends SpotCellsProps {
  readonly id: string;
}

const PlaceRow = ({ id, ...spot }: PlaceRowProps) => (
  <Table.Row bg="transparent" data-place={id}>
    <Table.ColumnHeader scope="row" {...cell} fontWeight="600" fontSize="sm">
      {spot.name}
    </Table.ColumnHeader>
    <SpotCells {...spot} />
  </Table.Row>
);

/** Whoever is not heard is asked for no place, and keeps one that was given. */
const PeopleRows = memo(({ people }: Pick<Rig, 'people'>) => {
  const { run } = useRigSession();
  return inOrder(people)
    .filter(([, { where, isHeard, at }]) => where === 'on site' && (isHeard || at !== null))
    .map(([personId, { name, at }]) => (
      <PlaceRow
        key={personId}
        id={personId}
        name={name}
        at={at}
        onMove={(next) => run({ type: 'changePerson', personId, person: { at: next } })}
      />
    ));
});
PeopleRows.displayName = 'PeopleRows';

const LoudspeakerRows = memo(({ devices }: Pick<Rig, 'devices'>) => {
  const { run } = useRigSession();
  return Object.entries(devices)
    .filter(([, { model }]) => model.kind === 'loudspeaker')
    .map(([deviceId, { name, at, aim }]) => (
      <PlaceRow
        key={deviceId}
        id={deviceId}
        name={name}
        at={at}
        onMove={(next) => run({ type: 'placeDevice', deviceId, at: next, aim })}
      />
    ));
});
LoudspeakerRows.displayName = 'LoudspeakerRows';

const NoisePlaces = memo(({ noises: all }: Pick<Rig, 'noises'>) => {
  const { run } = useRigSession();
  const noises = inOrder(all);
  const change = (noiseId: string, noise: Partial<Omit<NoiseSource, 'order'>>) =>
    run({ type: 'changeNoise', noiseId, noise });
  const add = () =>
    run({
      type: 'addNoise',
      noiseId: freeId('noise', all),
      noise: { name: `Noise ${noises.length + 1}`, dbaAt1m: 45, at: null, runs: true },
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
            {head(['Noise', 'At 1 m', 'Across', 'Up the plan', 'Runs', ''])}
            <Table.Body>
              {noises.map(([id, { name, dbaAt1m, at, runs }]) => {
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
                      <Button
                        size="xs"
                        variant="outline"
                        aria-label={`Remove ${name}`}
                        onClick={() => run({ type: 'removeNoise', noiseId: id })}
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
    </Box>
  );
});
NoisePlaces.displayName = 'NoisePlaces';

/** The room: its size and echo, who is where, what makes noise. */
export const RoomFields = ({ rig: { room, people, devices, noises } }: { readonly rig: Rig }) => {
  const { run } = useRigSession();
  return (
    <Box>
      <Flex direction="column" gap="1.5" maxW="380px" mb="3">
        <NumberField
          label="Volume"
          hint=" length × width × height"
          unit="m³"
          mayBeUnknown
          step={5}
          min={0.1}
          max={1000000}
          value={room.volumeM3}
          onCommit={(volumeM3) => run({ type: 'setRoom', room: { volumeM3 } })}
        />
        <NumberField
          label="Echo dies away in"
          hint=" RT60"
          unit="s"
          mayBeUnknown
          step={0.1}
          min={0.01}
          max={30}
          value={room.rt60S}
          onCommit={(rt60S) => run({ type: 'setRoom', room: { rt60S } })}
        />
        <NumberField
          label="Noise while all is quiet"
          unit="dB(A)"
          mayBeUnknown
          min={0}
          max={120}
          value={room.noiseDba}
          onCommit={(noiseDba) => run({ type: 'setRoom', room: { noiseDba } })}
        />
      </Flex>
      <Box overflowX="auto">
        <Table.Root size="sm" variant="outline" aria-label="Where everybody is">
          {head(['Who', 'Across', 'Up the plan', 'Facing'])}
          <Table.Body>
            <PeopleRows people={people} />
            <LoudspeakerRows devices={devices} />
          </Table.Body>
        </Table.Root>
      </Box>
      <Text fontSize="xs" color="ink.soft" mt="1">
        Metres on a plan from any corner; facing 0° is up the plan, 90° to the right. Microphones
        stand before their person’s mouth. Heights are left out.
      </Text>
      <NoisePlaces noises={noises} />
    </Box>
  );
};
