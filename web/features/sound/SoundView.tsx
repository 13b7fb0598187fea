'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { ChoiceTable } from './ChoiceTable';
import { Dynamics } from './Dynamics';
import { MicrophonePanel } from './MicrophonePanel';
import { BleedMatrix, MicrophoneTable } from './MicrophoneTable';
import { Programmes } from './Programmes';
import { RoomFields } from './RoomFields';
import { RoomPlan } from './RoomPlan';
import { microphoneRows } from './rows';

/** What the room does to every microphone, what processes its voice, and how loud it all comes out. */
export const SoundView = () => {
  const analysis = useRig((state) => state.analysis);
  const [chosen, setChosen] = useState<string | null>(null);
  const rows = microphoneRows(analysis);
  const row = rows.find(({ id }) => id === chosen) ?? rows.find(({ level }) => level !== 'well') ?? rows[0];
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="6" align="start" direction={{ base: 'column', lg: 'row' }}>
        <Box flex="1.15" minW="0" width="100%">
          <Text as="h2" fontSize="lg" fontWeight="600" mb="1">Microphones in the room</Text>
          {row ? <MicrophoneTable analysis={analysis} rows={rows} chosen={row.id} onChoose={setChosen} /> : <Text fontSize="sm">No microphone is plugged in yet. Add one, give it to a person and connect it; then what the room does to it is computed here.</Text>}
          <BleedMatrix analysis={analysis} rows={rows} />
          <Text as="h2" fontSize="lg" fontWeight="600" mt="5" mb="1">The room</Text>
          <RoomPlan analysis={analysis} />
          <Box mt="2"><RoomFields rig={analysis.rig} /></Box>
          {row && <ChoiceTable analysis={analysis} row={row} />}
          <Programmes analysis={analysis} />
        </Box>
        <Box flex="1" minW="0" width="100%">
          {row && (
            <>
              <MicrophonePanel analysis={analysis} row={row} />
              <Dynamics analysis={analysis} deviceId={row.id} />
            </>
          )}
        </Box>
      </Flex>
    </Box>
  );
};
