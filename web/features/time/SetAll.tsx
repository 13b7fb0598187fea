'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { type Analysis, verdictText } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { ByPlace } from './ByPlace';
import { OtherWays } from './OtherWays';
import { useTask } from '@/workers/useTask';
import { msText } from './offsets';

/** Every delay for all places at once, and what is left, before it is done. */
export const SetAll = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const at = useTask({ analysis, key: 'timing', ask: (tasks) => tasks.timing() });
  if (at.state !== 'done')
    return (
      <Text fontSize="sm" aria-live="polite">
        {at.state === 'failed' ? `It could not be worked out: ${at.says}` : 'Working it out …'}
      </Text>
    );
  const answer = at.value;
  if (!answer) return <Text fontSize="sm">Nothing that can be reckoned meets yet.</Text>;
  const { commands, worstBeforeMs, worstMs, boundMs, unknown, tried, places } = answer;
  const left =
    worstMs - boundMs < 0.005
      ? 'No setting leaves less.'
      : `No setting whatever leaves less than ${msText(boundMs)} ms; the rest is the steps of the devices.`;
  return (
    <Box role="region" aria-label="One solution for all places">
      {commands.length === 0 ? (
        <Text fontSize="sm">
          The delays are set as well as they can be: {msText(worstMs)} ms apart at most. {left}
        </Text>
      ) : (
        <>
          <Button
            size="sm"
            bg="madder"
            color="madder.ink"
            onClick={() =>
              run({
                type: 'batch',
                label: 'Set the delays for all places',
                commands: [...commands],
              })
            }
          >
            Set {commands.length === 1 ? 'one delay' : `all ${commands.length} delays`}
          </Button>
          <Text fontSize="sm" mt="1" aria-live="polite">
            At most {msText(worstMs)} ms apart anywhere instead of {msText(worstBeforeMs)}. {left}
            {tried && ` Then: ${verdictText(tried.verdict).toLowerCase()}.`}
          </Text>
        </>
      )}
      {unknown > 0 && (
        <Text fontSize="xs" color="ink.soft">
          {unknown} {unknown === 1 ? 'pair is' : 'pairs are'} left out: a delay on the way is not
          known.
        </Text>
      )}
      {places.length > 1 && <ByPlace analysis={analysis} places={places} />}
      <OtherWays analysis={analysis} />
    </Box>
  );
};
