'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';

export interface WalkedMark {
  readonly id: string;
  readonly name: string;
  /** Each on a line of its own: how far from which wall, facing, height */
  readonly says: readonly string[];
}

/** One mark after the other, large enough to be read from the floor: laid, and on to the next. */
export const WalkMarks = ({
  marks,
  tape,
  onEnd,
}: {
  readonly marks: readonly WalkedMark[];
  readonly tape: string | null;
  readonly onEnd: () => void;
}) => {
  const [at, setAt] = useState(0);
  const mark = marks[Math.min(at, marks.length - 1)];
  if (!mark) return null;
  const isLast = at >= marks.length - 1;
  return (
    <Box
      role="group"
      aria-label="Walk through the marks"
      className="screen-only"
      maxW="34rem"
      borderWidth="1px"
      borderColor="rule.strong"
      p="4"
      mb="4"
    >
      <Text fontSize="sm" color="ink.soft">
        {`${at + 1} of ${marks.length}${tape === null ? '' : `, ${tape} tape`}`}
      </Text>
      <Box aria-live="polite">
        <Text fontSize="2xl" fontWeight="600" lineHeight="1.25">
          {mark.name}
        </Text>
        {mark.says.map((says) => (
          <Text key={says} fontSize="xl">
            {says}
          </Text>
        ))}
      </Box>
      <Flex gap="2" mt="3">
        <Button
          minH="14"
          variant="outline"
          disabled={at === 0}
          onClick={() => setAt((now) => now - 1)}
        >
          Back
        </Button>
        <Button flex="1" minH="14" onClick={() => (isLast ? onEnd() : setAt((now) => now + 1))}>
          {isLast ? 'Laid: that was all' : 'Laid: next'}
        </Button>
        <Button minH="14" variant="ghost" onClick={onEnd}>
          Leave
        </Button>
      </Flex>
    </Box>
  );
};
