'use client';

import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import {
  type Analysis,
  bandsOf,
  type BuiltRoom,
  builtRoom,
  targetS,
  treatmentNeeded,
} from '@echo-loom/core';
import { memo, useDeferredValue, useState } from 'react';
import { FindingCard } from '@/features/findings/FindingCard';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { Begin } from './Begin';
import { firstTrial, Helps, type Trial } from './Helps';
import { Rings } from './Rings';
import { RoomPlan } from './RoomPlan';
import { Surfaces } from './Surfaces';
import { sizesOf, Walls } from './Walls';

const PlanLater = memo(RoomPlan);

/** What is found of the room, each with its fixes. */
const Found = memo(({ analysis }: { readonly analysis: Analysis }) => {
  const findings = analysis.findings.filter(({ area }) => area === 'place');
  return (
    <Flex direction="column" gap="2.5" mt={findings.length > 0 ? '4' : '0'}>
      {findings.map((finding, index) => (
        <FindingCard key={`${finding.code} ${index}`} analysis={analysis} finding={finding} />
      ))}
    </Flex>
  );
});
Found.displayName = 'Found';

/** Times of each band with what is being tried; null where none of it is needed. */
const timesWith = (
  built: BuiltRoom,
  { material: { name, absorption }, covers, targetS: wantedS }: Trial,
): readonly number[] | null => {
  const { areaM2 } = treatmentNeeded(built, { absorption, covers }, wantedS);
  return areaM2 === 0
    ? null
    : bandsOf(built.shell, [...built.surfaces, { name, absorption, covers, areaM2, order: 0 }]).map(
        ({ rt60S }) => rt60S,
      );
};

/** The room as it is built: its walls, what it is made of, how long it rings and what would help. */
export const RoomView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const later = useDeferredValue(analysis);
  const [trial, setTrial] = useState<Trial | null>(null);
  const built = builtRoom(analysis);
  if (!built)
    return (
      <Box overflowY="auto" p="4" flex="1">
        <Begin />
      </Box>
    );
  const present = trial ?? firstTrial(targetS(analysis.rig.houseRules.room, built.volumeM3));
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Grid
        columnGap="6"
        rowGap="5"
        alignItems="start"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
      >
        <Box>
          <Flex justify="space-between" align="center" mb="1" gap="2">
            <Text as="h2" fontSize="lg" fontWeight="600">
              The room
            </Text>
            <Flex gap="2" className="screen-only">
              <Button size="sm" variant="outline" onClick={() => window.print()}>
                Print
              </Button>
              <Button
                size="sm"
                variant="outline"
                onClick={() => run({ type: 'drawRoom', room: null })}
              >
                Take the walls away
              </Button>
            </Flex>
          </Flex>
          <PlanLater analysis={later} widthPx={540} heightPx={320} />
          <Text fontSize="sm" color="ink.soft" mt="1">
            {sizesOf(built.volumeM3, built.areasM2.floor, built.areasM2.walls)}. Who stands where is
            said on the plan.
          </Text>
          <Walls shell={built.shell} />
          <Found analysis={later} />
        </Box>
        <Box>
          <Rings analysis={analysis} built={built} tried={present && timesWith(built, present)} />
          {present && <Helps built={built} trial={present} onTrial={setTrial} />}
        </Box>
      </Grid>
      <Box mt="5">
        <Surfaces built={built} />
      </Box>
    </Box>
  );
};
