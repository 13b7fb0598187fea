'use client';

import { List, Text } from '@chakra-ui/react';
import type { LightAnswer } from '@echo-loom/core';

/** What lamps come to, and each thing that is not met in a line of its own. */
export const Missed = ({
  answer: { headline, unmet, over },
  before,
}: {
  readonly answer: LightAnswer;
  readonly before?: string;
}) => (
  <>
    <Text fontSize="sm" aria-live="polite">
      {before} {headline}
    </Text>
    {unmet.length > 0 && (
      <List.Root fontSize="sm" ps="4" mt="1">
        {[...unmet, ...over].map(({ says }) => (
          <List.Item key={says}>{says}</List.Item>
        ))}
      </List.Root>
    )}
  </>
);
