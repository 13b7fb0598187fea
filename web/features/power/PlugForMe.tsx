'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { type Analysis, verdictText } from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { useTask } from '@/workers/useTask';

/** Every device plugged in as well as can be, tried before it is done. */
export const PlugForMe = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [isAsked, setAsked] = useState(false);
  const at = useTask({
    analysis,
    key: isAsked ? 'plug' : null,
    ask: (tasks) => tasks.plug(),
    isLong: true,
  });
  if (Object.keys(analysis.rig.feeds).length === 0) return null;
  if (!isAsked)
    return (
      <Button size="sm" bg="madder" color="madder.ink" onClick={() => setAsked(true)}>
        Plug it for me
      </Button>
    );
  const found = at.state === 'done' ? at.value : null;
  const commands = found?.commands ?? [];
  return (
    <Box role="region" aria-label="Plug it for me" borderWidth="1px" borderColor="rule" p="3">
      <Text fontSize="sm" aria-live="polite">
        {at.state === 'failed'
          ? `It could not be worked out: ${at.says}`
          : at.state !== 'done'
            ? 'Trying ways to plug everything in …'
            : !found
              ? 'There is nothing to plug in.'
              : commands.length === 0
                ? 'It is plugged in as well as it can be.'
                : `${commands.length} ${commands.length === 1 ? 'plug goes' : 'plugs go'} elsewhere` +
                  `${found.tried ? `; then: ${verdictText(found.tried.verdict).toLowerCase()}` : ''}.`}
      </Text>
      {found && (
        <Text fontSize="xs" color="ink.soft">
          {found.isExact
            ? 'Every way was tried; none is better.'
            : `It uses ${found.feeds} strips, outlets and supplies; no way does with fewer than ` +
              `${found.atLeastFeeds}. Not every way was tried.`}
          {found.lacks.length > 0 && ` Still wanting: ${found.lacks.join(', ')}.`}
        </Text>
      )}
      <Box mt="2">
        {commands.length > 0 && (
          <Button
            size="sm"
            bg="madder"
            color="madder.ink"
            me="2"
            onClick={() => {
              run({ type: 'batch', label: 'Plug it for me', commands: [...commands] });
              setAsked(false);
            }}
          >
            Plug {commands.length === 1 ? 'it' : `all ${commands.length}`}
          </Button>
        )}
        <Button size="sm" variant="outline" onClick={() => setAsked(false)}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
};
