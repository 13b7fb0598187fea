'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import type { Analysis, OtherWay, OtherWayKind } from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { PlainTable } from '@/ui/PlainTable';
import { useTask } from '@/workers/useTask';
import { msText } from './offsets';

const KINDS: Readonly<Record<OtherWayKind, string>> = {
  'cameras the same way': 'All cameras the same way',
  'sound with the picture': 'Sound put into the picture',
  'recorded elsewhere': 'Recorded elsewhere',
};

const ms = (value: number | null): string =>
  value === null ? 'to be measured' : `${msText(value)} ms`;

/** Ways that are wired otherwise, each tried with its delays before it is offered; worked out once asked for. */
export const OtherWays = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [isWanted, setWanted] = useState(false);
  const at = useTask({
    analysis,
    key: isWanted ? 'other ways' : null,
    ask: (tasks) => tasks.otherWays(),
  });
  const line = (way: OtherWay) => ({
    id: `${way.kind} ${way.placeId}`,
    head: `${KINDS[way.kind]}: ${way.label}`,
    cells: [
      way.place,
      ms(way.now.asSetMs),
      ms(way.after.asSetMs),
      way.after.allSetMs === null
        ? 'to be measured'
        : `${ms(way.after.allSetMs)}, by ${way.after.delays} ${way.after.delays === 1 ? 'delay' : 'delays'}` +
          (way.now.allSetMs === null ? '' : ` instead of ${way.now.delays}`),
      way.brings.length === 0 ? 'nothing' : way.brings.join('; '),
      <Button
        key="do"
        size="xs"
        variant="outline"
        className="screen-only"
        aria-label={`Wire it so: ${way.label}`}
        onClick={() => run({ type: 'batch', label: way.label, commands: [...way.commands] })}
      >
        Wire it so
      </Button>,
    ],
    isMarked: way.brings.length > 0,
  });
  if (at.state === 'idle')
    return (
      <Button
        size="xs"
        variant="outline"
        mt="2"
        className="screen-only"
        onClick={() => setWanted(true)}
      >
        Look for other ways than delays
      </Button>
    );
  return (
    <Box mt="2" role="region" aria-label="Other ways than delays">
      {at.state === 'done' && at.value.length > 0 ? (
        <PlainTable
          label="Other ways than delays"
          headings={['Way', 'At', 'Apart now', 'So wired', 'And all set', 'It brings', '']}
          lines={at.value.map(line)}
        />
      ) : (
        <Text fontSize="sm" aria-live="polite">
          {at.state === 'working' && 'Trying other ways …'}
          {at.state === 'failed' && `It could not be worked out: ${at.says}`}
          {at.state === 'done' &&
            'No other way leaves less than delays do, or needs fewer of them: cameras brought in ' +
              'together, sound put into the picture and a recorder elsewhere were tried.'}
        </Text>
      )}
    </Box>
  );
};
