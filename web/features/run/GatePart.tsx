'use client';

import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import type { Happened, LiveGate, RunPlan } from '@echo-loom/core';
import { useState } from 'react';
import { Sure } from './Sure';

interface Props {
  readonly gate: LiveGate;
  readonly plan: RunPlan;
  readonly onHappened: (...happened: readonly Happened[]) => void;
}

/** The gate to live: what is in the way, and the words that overrule it. */
export const GatePart = ({ gate, plan, onHappened }: Props) => {
  const [words, setWords] = useState('');
  const [first] = plan.segments;
  const inTheWay = [
    ...(gate.stops > 0 ? [`${gate.stops} ${gate.stops === 1 ? 'stop' : 'stops'} in the rig`] : []),
    ...(gate.open.length > 0
      ? [`${gate.open.length} ${gate.open.length === 1 ? 'line' : 'lines'} that must be ticked`]
      : []),
  ].join(' and ');
  return (
    <Box as="section" aria-label="Gate to live" mt="4">
      {inTheWay !== '' && (
        <Text color={gate.isOpen ? 'ink.soft' : 'level.stop'} mb="1" role="status">
          {gate.isOpen
            ? `Overruled in words; still open: ${inTheWay}.`
            : `Live is shut: ${inTheWay}.`}
        </Text>
      )}
      {!gate.isOpen && gate.open.length > 0 && (
        <Text fontSize="sm" color="ink.soft" mb="2">
          {gate.open
            .slice(0, 3)
            .map(({ what }) => what)
            .join(' · ')}
          {gate.open.length > 3 ? ` · and ${gate.open.length - 3} more` : ''}
        </Text>
      )}
      <Sure
        label="Go live"
        sure="Press again: live now"
        isDisabled={!gate.isOpen}
        onSure={() =>
          onHappened(
            { is: 'live' },
            ...(first ? [{ is: 'segment' as const, segmentId: first.id }] : []),
          )
        }
      />
      {!gate.isOpen && (
        <Flex
          as="form"
          gap="2"
          mt="3"
          align="center"
          onSubmit={(event) => {
            event.preventDefault();
            if (words.trim() !== '') onHappened({ is: 'overruled', words: words.trim() });
          }}
        >
          <Input
            aria-label="Why live all the same"
            placeholder="Live all the same, because…"
            maxLength={500}
            minH="11"
            value={words}
            onChange={({ target }) => setWords(target.value)}
          />
          <Button
            type="submit"
            variant="outline"
            borderColor="rule.strong"
            minH="11"
            disabled={words.trim() === ''}
          >
            Overrule
          </Button>
        </Flex>
      )}
    </Box>
  );
};
