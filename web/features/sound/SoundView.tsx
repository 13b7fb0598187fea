'use client';

import { Box, Grid, Text } from '@chakra-ui/react';
import type { Rig } from '@echo-loom/core';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { ChoiceTable } from './ChoiceTable';
import { Dynamics } from './Dynamics';
import { MicrophonePanel } from './MicrophonePanel';
import { BleedMatrix, MicrophoneTable } from './MicrophoneTable';
import { Programmes } from './Programmes';
import { RoomFields } from './RoomFields';
import { RoomPlan } from '@/features/room/RoomPlan';
import { microphoneRows } from './rows';

const MatrixLater = memo(BleedMatrix);
const PlanLater = memo(RoomPlan);
const ChoicesLater = memo(ChoiceTable);
const ProgrammesLater = memo(Programmes);

/** Whether anything was said of the room, its noises, or where people are. */
const isDescribed = ({ room, noises, people }: Rig): boolean =>
  room.noiseDba !== null ||
  room.rt60S !== null ||
  Object.keys(noises).length > 0 ||
  Object.values(people).some(({ at }) => at);

/** What the room does to every microphone, what processes its voice, and how loud it all comes out. */
export const SoundView = () => {
  const analysis = useRig((state) => state.analysis);
  const [chosen, setChosen] = useState<string | null>(null);
  // The table and the chosen microphone's fields follow at once, the rest when there is time.
  const later = useDeferredValue(analysis);
  const rows = useMemo(() => microphoneRows(analysis), [analysis]);
  const rowsLater = useMemo(() => microphoneRows(later), [later]);
  const row =
    rows.find(({ id }) => id === chosen) ?? rows.find(({ level }) => level !== 'well') ?? rows[0];
  const rowLater = rowsLater.find(({ id }) => id === row?.id);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Grid
        columnGap="6"
        rowGap="5"
        alignItems="start"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1.15fr) minmax(0, 1fr)' }}
        gridTemplateRows={{ lg: 'auto 1fr' }}
        gridTemplateAreas={{ base: '"table" "chosen" "room"', lg: '"table chosen" "room chosen"' }}
      >
        <Box gridArea="table">
          <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
            Microphones in the room
          </Text>
          {row && !isDescribed(analysis.rig) && (
            <Text fontSize="sm" mb="2">
              Nothing is known of the room yet. Say below who is where, how loud the room is and
              what makes noise: then noise, bleed and echo are computed for every microphone.
            </Text>
          )}
          {row ? (
            <MicrophoneTable analysis={analysis} rows={rows} chosen={row.id} onChoose={setChosen} />
          ) : (
            <Text fontSize="sm">
              No microphone is plugged in yet. Add one, give it to a person and connect it; then
              what the room does to it is computed here.
            </Text>
          )}
        </Box>
        {row && (
          <Box gridArea="chosen">
            <MicrophonePanel analysis={later} row={rowLater ?? row} now={row} />
            <Dynamics analysis={analysis} deviceId={row.id} />
          </Box>
        )}
        <Box gridArea="room">
          <MatrixLater analysis={later} rows={rowsLater} />
          <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
            The room
          </Text>
          <PlanLater analysis={later} />
          <Box mt="2">
            <RoomFields analysis={analysis} />
          </Box>
          {row && <ChoicesLater analysis={later} row={rowLater ?? row} />}
          <ProgrammesLater analysis={later} />
        </Box>
      </Grid>
    </Box>
  );
};
