'use client';

import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { type Area, isLit, lampSources, seenFaces } from '@echo-loom/core';
import { memo, useCallback, useState } from 'react';
import { FoundIn } from '@/features/findings/FoundIn';
import { useRig } from '@/features/rig/RigProvider';
import { AddLamp } from './AddLamp';
import { Backdrops } from './Backdrops';
import { ChosenLamp } from './ChosenLamp';
import { Daylight } from './Daylight';
import { Head } from './Head';
import { Judged } from './Judged';
import { Lamps } from './Lamps';
import { LightSheet } from './LightSheet';
import { LitFrames } from './LitFrames';
import { Looks } from './Looks';
import { PoolPlan } from './PoolPlan';
import { SetForMe } from './SetForMe';
import { NONE, type Shares } from './shares';

const AREAS: readonly Area[] = ['light'];

// What no dimmer moves while it is dragged is not drawn again.
const BackdropsKept = memo(Backdrops);
const DaylightKept = memo(Daylight);
const JudgedKept = memo(Judged);
const LooksKept = memo(Looks);
const SetForMeKept = memo(SetForMe);
const SheetKept = memo(LightSheet);

/** Light: lux on each face, what cameras make of it, and every dimmer; all of it follows a drag at once. */
export const LightView = () => {
  const analysis = useRig((state) => state.analysis);
  const [shares, setShares] = useState<Shares>(NONE);
  const [chosenId, setChosen] = useState<string | null>(null);
  const onDrag = useCallback(
    (deviceId: string, share: number | null) =>
      setShares((before) => {
        const now = { ...before };
        if (share === null) delete now[deviceId];
        else now[deviceId] = share;
        return now;
      }),
    [],
  );
  const onChoose = useCallback(
    (deviceId: string) => setChosen((before) => (before === deviceId ? null : deviceId)),
    [],
  );
  const faces = seenFaces(analysis);
  const chosen = lampSources(analysis).find(({ id }) => id === chosenId);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <SheetKept analysis={analysis} />
      <Flex gap="3" align="center" wrap="wrap" mb="2" className="screen-only">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Light
        </Text>
        <Text fontSize="sm" color="ink.soft">
          lux at the height of seated eyes; drag a dimmer and everything follows
        </Text>
        <Button size="xs" variant="outline" ms="auto" onClick={() => window.print()}>
          Print the sheet
        </Button>
      </Flex>
      <Grid
        columnGap="6"
        rowGap="5"
        alignItems="start"
        className="screen-only"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 7fr) minmax(0, 4fr)' }}
      >
        <Flex direction="column" gap="4" minW="0">
          <PoolPlan analysis={analysis} shares={shares} chosen={chosenId} onChoose={onChoose} />
          <Box>
            <Lamps
              analysis={analysis}
              shares={shares}
              chosen={chosenId}
              onDrag={onDrag}
              onChoose={onChoose}
            />
            <AddLamp analysis={analysis} onAdded={setChosen} />
          </Box>
          {isLit(analysis) && <LitFrames analysis={analysis} shares={shares} />}
          <LooksKept analysis={analysis} />
          <BackdropsKept analysis={analysis} />
        </Flex>
        <Flex direction="column" gap="4" minW="0">
          {!isLit(analysis) ? (
            <Text fontSize="sm">
              Nobody has said anything of light yet: no lamp stands in the room, and nobody has said
              where and when the show is. Add a lamp, or say it under Daylight; faces, cameras and
              dimmers then follow.
            </Text>
          ) : faces.length === 0 ? (
            <Text fontSize="sm">
              Nobody who is to be seen stands in the room yet. Put people on the plan, and their
              faces are shown here as the lamps light them.
            </Text>
          ) : (
            <Box
              as="section"
              aria-label="Faces"
              display="grid"
              gridTemplateColumns="repeat(auto-fill, minmax(190px, 1fr))"
              gap="3"
            >
              {faces.map((face) => (
                <Head key={face.personId} analysis={analysis} face={face} shares={shares} />
              ))}
            </Box>
          )}
          {chosen && (
            <ChosenLamp
              key={chosen.id}
              analysis={analysis}
              lamp={chosen}
              onClose={() => setChosen(null)}
            />
          )}
          <SetForMeKept analysis={analysis} />
          <DaylightKept analysis={analysis} />
          <JudgedKept analysis={analysis} />
          <FoundIn analysis={analysis} areas={AREAS} />
        </Flex>
      </Grid>
    </Box>
  );
};
