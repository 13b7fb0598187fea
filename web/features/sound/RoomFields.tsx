'use client';

import { measuredText } from '@/features/measure/origin';
import { useRigSession } from '@/features/rig/RigProvider';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Box, Flex, Table, Text } from '@chakra-ui/react';
import { type Analysis, builtRoom, figure, inOrder, readFrom, type Rig } from '@echo-loom/core';
import { memo } from 'react';
import { NoisePlaces } from './NoisePlaces';
import type { SpotCellsProps } from '@/ui/SpotCells';
import { cell, head, SpotCells } from '@/ui/SpotCells';

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

NoisePlaces.displayName = 'NoisePlaces';

/** The room: its size and echo, who is where, what makes noise. */
export const RoomFields = ({ analysis }: { readonly analysis: Analysis }) => {
  const { room, people, devices, noises } = analysis.rig;
  const { run } = useRigSession();
  const built = builtRoom(analysis);
  return (
    <Box>
      <Flex direction="column" gap="1.5" maxW="380px" mb="3">
        <NameField
          label="What the house calls the room"
          value={room.name ?? ''}
          mayBeEmpty
          onCommit={(name) => run({ type: 'setRoom', room: { name } })}
        />
        <NumberField
          label="Volume"
          hint=" length × width × height"
          unit="m³"
          mayBeUnknown
          step={5}
          min={0.1}
          max={1000000}
          value={room.volumeM3}
          {...(built ? { whenEmpty: figure(built.volumeM3) } : {})}
          onCommit={(volumeM3) => run({ type: 'setRoom', room: { volumeM3 } })}
        />
        <NumberField
          label="Echo dies away in"
          hint={` RT60${measuredText(readFrom(analysis, 'room'))}`}
          unit="s"
          mayBeUnknown
          step={0.1}
          min={0.01}
          max={30}
          value={room.rt60S}
          {...(built ? { whenEmpty: figure(built.rt60S, 2) } : {})}
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
        <NumberField
          label="Temperature of the air"
          mayBeUnknown
          unit="°C"
          value={room.temperatureC}
          min={-20}
          max={50}
          step={1}
          onCommit={(temperatureC) => run({ type: 'setRoom', room: { temperatureC } })}
        />
      </Flex>
      {built && (room.volumeM3 === null || room.rt60S === null) && (
        <Text fontSize="xs" color="ink.soft" mt="-2" mb="3">
          What is empty is taken from the room as it is drawn under Room.
        </Text>
      )}
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
