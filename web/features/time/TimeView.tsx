'use client';

import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { type Area, type DelayKnob, knobKey, knobs, meetings } from '@echo-loom/core';
import { useCallback, useState } from 'react';
import { FoundIn } from '@/features/findings/FoundIn';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { Delays } from './Delays';
import { Known } from './Known';
import type { Turned } from './offsets';
import { Place } from './Place';
import { SetAll } from './SetAll';

const AREAS: readonly Area[] = ['time'];
const NONE: Turned = new Map();

/** When sound and picture arrive wherever they meet, and which delay to set to what. */
export const TimeView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const [turned, setTurned] = useState<Turned>(NONE);
  const onTurn = useCallback(
    (knob: DelayKnob, ms: number | null) =>
      setTurned((before) => {
        const now = new Map(before);
        if (ms === null) now.delete(knobKey(knob));
        else now.set(knobKey(knob), ms);
        return now;
      }),
    [],
  );
  const places = meetings(analysis);
  const { timeRules } = analysis.rig;
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="3" align="center" wrap="wrap" mb="2">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Time
        </Text>
        <Text fontSize="sm" color="ink.soft">
          when sound and picture arrive where they meet
        </Text>
        {places.length > 0 && (
          <Button
            size="xs"
            variant="outline"
            ms="auto"
            className="screen-only"
            onClick={() => window.print()}
          >
            Print the delays
          </Button>
        )}
      </Flex>
      {places.length === 0 && (
        <Text fontSize="sm" mb="3">
          Sound of a microphone and picture of a camera meet nowhere yet: neither in a stream, nor
          in a recording, nor in a call. Connect both to one of them, and how far apart they arrive
          is reckoned from there.
        </Text>
      )}
      {places.length > 0 && (
        <Box mb="4">
          <SetAll analysis={analysis} />
        </Box>
      )}
      <Grid
        columnGap="6"
        rowGap="5"
        alignItems="start"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 5fr) minmax(0, 3fr)' }}
      >
        <Flex direction="column" gap="5" minW="0">
          {places.map((meeting) => (
            <Place key={meeting.placeId} analysis={analysis} meeting={meeting} turned={turned} />
          ))}
        </Flex>
        <Flex direction="column" gap="5" minW="0">
          {places.length > 0 && (
            <>
              <Delays analysis={analysis} knobs={knobs(analysis)} turned={turned} onTurn={onTurn} />
              <Known analysis={analysis} meetings={places} />
            </>
          )}
          <Box as="section" aria-label="What is let be" className="screen-only">
            <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
              What is let be
            </Text>
            <NumberField
              label="Sound early by at most"
              unit="ms"
              min={1}
              max={500}
              value={timeRules.earlyMs}
              onCommit={(earlyMs) =>
                earlyMs !== null && run({ type: 'setTimeRules', timeRules: { earlyMs } })
              }
            />
            <NumberField
              label="Sound late by at most"
              unit="ms"
              min={1}
              max={500}
              value={timeRules.lateMs}
              onCommit={(lateMs) =>
                lateMs !== null && run({ type: 'setTimeRules', timeRules: { lateMs } })
              }
            />
          </Box>
          <Box className="screen-only">
            <FoundIn analysis={analysis} areas={AREAS} />
          </Box>
        </Flex>
      </Grid>
    </Box>
  );
};
