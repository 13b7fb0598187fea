'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  durationText,
  type Happened,
  type RunningOut,
  runningOut,
  type RunsOut,
  type RunState,
  timeOfDayText,
} from '@echo-loom/core';
import { localS } from './local';

interface Props {
  readonly state: RunState;
  readonly ends: readonly RunsOut[];
  readonly nowMs: number;
  readonly onHappened: (...happened: readonly Happened[]) => void;
}

/** What runs out within so long is said. @unit s */
const AHEAD_S = 10 * 60;

const whenText = ({ what, leftS, endsMs }: RunningOut): string =>
  leftS < 0
    ? `ran out ${durationText(-leftS)} ago by reckoning`
    : `${what} ends at ${timeOfDayText(localS(endsMs))}, in ${durationText(leftS)}`;

/** The one thing that runs out next: one line, and a press when it was changed. */
export const RunningOutPart = ({ state, ends, nowMs, onHappened }: Props) => {
  const all = runningOut(ends, state, nowMs);
  const [next] = all;
  if (!next) return null;
  const isNear = next.leftS < AHEAD_S;
  return (
    <Box
      as="section"
      aria-label="What runs out next"
      mt="4"
      p="2.5"
      borderWidth="1px"
      borderColor={isNear ? 'level.stop' : 'rule'}
      role={isNear ? 'alert' : undefined}
    >
      <Flex gap="3" align="center">
        <Box flex="1">
          <Text color={isNear ? 'level.stop' : 'ink'}>
            {`${next.name}: ${whenText(next)}. ${next.says}`}
          </Text>
        </Box>
        <Button
          size="sm"
          minH="11"
          variant="outline"
          borderColor="rule.strong"
          onClick={() => onHappened({ is: 'fresh', runsOutId: next.id })}
        >
          Changed
        </Button>
      </Flex>
    </Box>
  );
};
