'use client';

import { Box, Button, Flex, Grid, Input, Text } from '@chakra-ui/react';
import {
  durationText,
  type Happened,
  type Mark,
  MARKS,
  markText,
  type RunState,
  timeOfDayText,
} from '@echo-loom/core';
import { useRef, useState } from 'react';
import { localS } from './local';

interface Props {
  readonly state: RunState;
  readonly nameOf: (deviceId: string) => string;
  readonly onHappened: (...happened: readonly Happened[]) => void;
}

const LABELS: Readonly<Record<(typeof MARKS)[number], string>> = {
  marker: 'Marker',
  take: 'Take',
  retake: 'Retake',
  chapter: 'Chapter',
};

/** Marks with one press, the words beside them if there is time; what was pressed by mistake is taken back. */
export const MarksPart = ({ state, nameOf, onHappened }: Props) => {
  const [words, setWords] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const text = words.trim();
  const said = (happened: Happened) => {
    onHappened(happened);
    setWords('');
  };
  const where = ({ atMs }: Mark): string =>
    state.liveMs === null || atMs < state.liveMs
      ? timeOfDayText(localS(atMs))
      : durationText((atMs - state.liveMs) / 1000);
  return (
    <Box>
      <Input
        ref={field}
        aria-label="Words for the next mark"
        placeholder="Words, if there is time"
        maxLength={500}
        minH="12"
        fontSize="lg"
        value={words}
        onChange={({ target }) => setWords(target.value)}
      />
      <Grid templateColumns="1fr 1fr" gap="2" mt="2">
        {MARKS.map((kind) => (
          <Button
            key={kind}
            size="lg"
            minH="14"
            variant="outline"
            borderColor="rule.strong"
            onClick={() => said({ is: 'marked', kind, text })}
          >
            {LABELS[kind]}
          </Button>
        ))}
        <Button
          size="lg"
          minH="14"
          variant="outline"
          borderColor="rule.strong"
          gridColumn="span 2"
          color="level.stop"
          onClick={() =>
            said({ is: 'incident', deviceId: null, what: text === '' ? 'Incident' : text })
          }
        >
          Incident
        </Button>
      </Grid>
      <Box as="ol" listStyleType="none" mt="3" aria-label="Marks">
        {[...state.marks].reverse().map((mark) => (
          <Flex
            as="li"
            key={mark.id}
            gap="3"
            py="1.5"
            align="center"
            borderBottomWidth="1px"
            borderColor="rule"
          >
            <Text className="figures" fontSize="sm" flex="none">
              {where(mark)}
            </Text>
            <Text flex="1" minW="0" color={mark.kind === 'incident' ? 'level.stop' : 'ink'}>
              {markText(mark)}
              {mark.deviceId === null ? '' : ` (${nameOf(mark.deviceId)})`}
            </Text>
            <Button
              size="xs"
              minH="8"
              variant="ghost"
              aria-label={`Take back ${markText(mark)}`}
              onClick={() => onHappened({ is: 'withdrawn', eventId: mark.id })}
            >
              Take back
            </Button>
          </Flex>
        ))}
      </Box>
    </Box>
  );
};
