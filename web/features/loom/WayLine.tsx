'use client';

import { Button, Flex, IconButton, Text } from '@chakra-ui/react';
import type { Analysis, Thread } from '@echo-loom/core';
import type { Reading } from '@/features/chosen/readings';
import type { Item } from '@/features/chosen/view';
import { wayLine } from './ways';

interface Props {
  readonly analysis: Analysis;
  readonly threads: readonly Thread[];
  /** Which of the threads is written */
  readonly at: number;
  readonly onStep: (by: 1 | -1) => void;
  readonly reading: Reading;
  readonly onPick: (item: Item) => void;
}

/** The chosen thread as a line of readings, from its source to its end; each step can be gone to. */
export const WayLine = ({ analysis, threads, at, onStep, reading, onPick }: Props) => {
  const thread = threads[at];
  if (!thread) return null;
  return (
    <Flex direction="column" gap="1" minW="0" flex="1" role="region" aria-label="The chosen thread">
      <Flex align="center" gap="1.5" fontSize="xs" color="ink.soft">
        <span>
          {thread.signal === 'picture' ? 'Picture' : 'Sound'}
          {threads.length > 1 && `, thread ${at + 1} of ${threads.length} here`}
        </span>
        {threads.length > 1 && (
          <>
            <IconButton
              size="2xs"
              variant="outline"
              aria-label="Thread before"
              onClick={() => onStep(-1)}
            >
              ‹
            </IconButton>
            <IconButton
              size="2xs"
              variant="outline"
              aria-label="Thread after"
              onClick={() => onStep(1)}
            >
              ›
            </IconButton>
          </>
        )}
      </Flex>
      <Flex as="ol" wrap="wrap" align="center" rowGap="0.5" listStyleType="none" overflowY="auto">
        {wayLine(analysis, thread, reading).map(({ item, text }, index) => (
          <Flex as="li" key={index} align="center">
            {item.kind === 'link' ? (
              <Button
                size="2xs"
                variant="plain"
                px="1.5"
                className="figures"
                color="ink"
                aria-label={`Cable, ${text || 'no figure'}`}
                onClick={() => onPick(item)}
              >
                {text ? `— ${text} →` : '→'}
              </Button>
            ) : (
              <Button
                size="2xs"
                variant="plain"
                px="0.5"
                fontWeight="600"
                color="ink"
                onClick={() => onPick(item)}
              >
                <Text as="span" maxW="180px" truncate>
                  {text}
                </Text>
              </Button>
            )}
          </Flex>
        ))}
      </Flex>
    </Flex>
  );
};
