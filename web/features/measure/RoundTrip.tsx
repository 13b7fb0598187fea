'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { ROUND_TRIP_BEEPS, type RoundTrip as Found } from '@echo-loom/core/signal';
import { ears, entry } from '@echo-loom/core';
import { useRig } from '@/features/rig/RigProvider';
import { msText } from '@/features/time/offsets';
import { useMeasuring } from '@/workers/measuring/useMeasuring';
import { Running } from './Running';
import { useRoundTrip } from './useRoundTrip';

/** What the rig says of hearing oneself through the computer, for comparison. */
const usePredicted = (): string | null => {
  const analysis = useRig((state) => state.analysis);
  const own = ears(analysis).flatMap(({ node, ownVoiceMs }) =>
    ownVoiceMs === null
      ? []
      : [`${entry(analysis.rig.devices, node.device.id)?.name ?? ''} ${msText(ownVoiceMs)} ms`],
  );
  return own.length === 0 ? null : `The rig predicts for one’s own voice: ${own.join(', ')}.`;
};

/** From this computer out through its interface and back in. */
export const RoundTrip = () => {
  const { at: measuring, begin, cancel } = useMeasuring<Found>();
  const { at, play, stop } = useRoundTrip((heard) =>
    begin((tasks) => tasks.roundTrip(heard.samples, heard.rateHz, heard.firstS)),
  );
  const predicted = usePredicted();
  const isBusy = at.state === 'playing' || measuring.state === 'running';
  return (
    <Box as="section" aria-label="Round trip">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Round trip
      </Text>
      <Box borderWidth="1px" borderStyle="dashed" borderColor="rule" p="3" className="screen-only">
        <Text fontSize="sm" mb="2">
          How long sound takes out of this computer and back in: lead the interface’s output to its
          input with a cable, or stand the microphone at the loudspeaker. {ROUND_TRIP_BEEPS} beeps,
          nine seconds. Turn the level down first, and take headphones off the ears.
        </Text>
        <Flex gap="2" wrap="wrap" align="center">
          <Button size="sm" bg="madder" color="madder.ink" disabled={isBusy} onClick={play}>
            Beep and listen
          </Button>
          {at.state === 'playing' && (
            <>
              <Button size="sm" variant="outline" onClick={stop}>
                Stop
              </Button>
              <Text fontSize="sm" className="figures" role="timer">
                {at.heard} of {ROUND_TRIP_BEEPS} played
              </Text>
            </>
          )}
          <Text fontSize="xs" color="ink.soft">
            Not by wireless sound. What is heard stays on this machine.
          </Text>
        </Flex>
        {at.state === 'failed' && (
          <Text role="alert" fontSize="sm" color="madder" mt="2">
            {at.says}
          </Text>
        )}
      </Box>
      <Running at={measuring} onCancel={cancel} />
      {measuring.state === 'done' &&
        (measuring.value.isSure ? (
          <Text fontSize="sm" mt="2">
            Out and back in: {msText(measuring.value.ms)} ± {msText(measuring.value.spreadMs)} ms,
            by {measuring.value.beeps} beeps. The browser’s own buffers are in it; a program for
            sound may take less. {predicted}
          </Text>
        ) : (
          <Text fontSize="sm" color="madder" mt="2">
            No figure is given. {measuring.value.why}
          </Text>
        ))}
    </Box>
  );
};
