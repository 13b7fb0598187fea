'use client';

import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { useRig } from '@/features/rig/RigProvider';
import { Clap } from './Clap';
import { Flash } from './Flash';
import { Kept } from './Kept';
import { Levels } from './Levels';
import { Picture } from './Picture';
import { RoomRings } from './RoomRings';
import { RoundTrip } from './RoundTrip';
import { ShowFiles } from './ShowFiles';

/** Figures of the studio measured from what people record themselves, in this browser and nowhere else. */
export const MeasureView = () => {
  const name = useRig((state) => state.rig.name);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="3" align="baseline" wrap="wrap" mb="3">
        <Text as="h1" fontSize="lg" fontWeight="600">
          Measure
        </Text>
        <Text fontSize="sm" color="ink.soft">
          from recordings of yours; nothing of them leaves this machine
        </Text>
      </Flex>
      <Grid
        columnGap="6"
        rowGap="6"
        alignItems="start"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 1fr) minmax(0, 1fr)' }}
      >
        <Flex direction="column" gap="6" minW="0">
          <Flash />
          <Clap title={name} />
          <RoundTrip />
          <RoomRings />
        </Flex>
        <Flex direction="column" gap="6" minW="0">
          <Levels />
          <Picture />
        </Flex>
      </Grid>
      <Flex direction="column" gap="6" mt="6">
        <ShowFiles />
        <Kept />
      </Flex>
    </Box>
  );
};
