'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { allLengths, type Analysis, verdictText } from '@echo-loom/core';
import { useMemo } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { useMoney } from '@/features/rig/Studio';
import { useTask } from '@/workers/useTask';

/** Every length from the plan as one edit, and what it would come to before it is done. */
export const AllLengths = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const money = useMoney();
  const commands = useMemo(() => allLengths(analysis), [analysis]);
  const at = useTask({
    analysis,
    key: commands.length === 0 ? null : `lengths ${commands.length}`,
    ask: (tasks) => tasks.tried(commands),
  });
  if (commands.length === 0)
    return (
      <Text fontSize="sm" color="ink.soft">
        Every cable whose way is known is as long as the plan asks.
      </Text>
    );
  const tried = at.state === 'done' ? at.value : null;
  const stops = tried?.fresh.filter(({ level }) => level === 'stop') ?? [];
  return (
    <Box>
      <Button
        size="sm"
        bg="madder"
        color="madder.ink"
        onClick={() =>
          run({
            type: 'batch',
            label: 'Set all lengths from the plan',
            commands: [...commands],
          })
        }
      >
        Set all {commands.length} lengths from the plan
      </Button>
      <Text fontSize="sm" mt="1" aria-live="polite">
        {tried
          ? `Then: ${verdictText(tried.verdict).toLowerCase()}` +
            `${tried.cost === 0 ? '' : `, ${money(Math.abs(tried.cost))} ${tried.cost > 0 ? 'more' : 'less'} to pay`}.`
          : at.state === 'failed'
            ? `It could not be tried: ${at.says}`
            : 'Trying it …'}
      </Text>
      {stops.length > 0 && (
        <Text fontSize="sm" color="madder">
          Brings: {stops.map(({ title, says }) => `${title}. ${says}`).join(' ')}
        </Text>
      )}
    </Box>
  );
};
