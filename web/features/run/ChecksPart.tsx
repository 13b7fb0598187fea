'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type CheckLine,
  checklistChanged,
  type Happened,
  type Phase,
  PHASES,
  type PlannedLine,
  type RunState,
} from '@echo-loom/core';
import { useState } from 'react';
import { PHASE_TITLES } from '@/features/checklist/titles';
import { CheckRow } from './CheckRow';

interface Props {
  readonly lines: readonly CheckLine[];
  /** As they were when the run began */
  readonly planned: readonly PlannedLine[];
  readonly state: RunState;
  readonly onHappened: (happened: Happened) => void;
}

/** Where the day stands: the first list that has something open. */
const phaseOf = (lines: readonly CheckLine[], { stage, ticks }: RunState): Phase => {
  if (stage === 'live') return 'during';
  if (stage === 'after') return 'strike';
  return lines.find(({ id, phase }) => phase !== 'strike' && !ticks.has(id))?.phase ?? 'go live';
};

/** The lists of the day, one at a time, each line as large as a thumb. */
export const ChecksPart = ({ lines, planned, state, onHappened }: Props) => {
  const [chosen, setChosen] = useState<Phase | null>(null);
  const phase = chosen ?? phaseOf(lines, state);
  const shown = lines.filter((line) => line.phase === phase);
  const changed = checklistChanged(planned, lines);
  const isNew = new Set([...changed.came, ...changed.otherwise].map(({ id }) => id));
  const open = (of: Phase): number =>
    lines.filter((line) => line.phase === of && !state.ticks.has(line.id)).length;
  return (
    <Box>
      <Flex gap="1.5" wrap="wrap" role="group" aria-label="Lists" mb="2">
        {PHASES.filter((each) => lines.some((line) => line.phase === each)).map((each) => (
          <Button
            key={each}
            size="sm"
            minH="11"
            variant={each === phase ? 'solid' : 'outline'}
            borderColor="rule.strong"
            aria-pressed={each === phase}
            onClick={() => setChosen(each)}
          >
            {`${PHASE_TITLES[each]} ${open(each) === 0 ? '✓' : open(each)}`}
          </Button>
        ))}
      </Flex>
      {changed.went.length > 0 && (
        <Text fontSize="sm" color="level.warn" role="status">
          {`The rig has changed since this run began: no longer on the lists: ${changed.went
            .slice(0, 3)
            .map(({ what }) => what)
            .join('; ')}${changed.went.length > 3 ? ` and ${changed.went.length - 3} more` : ''}.`}
        </Text>
      )}
      {shown.length === 0 ? (
        <Text fontSize="sm">
          Nothing is on this list. What the rig needs, and lines of your own, stand here.
        </Text>
      ) : (
        <Box as="ul" listStyleType="none">
          {shown.map((line) => (
            <CheckRow
              key={line.id}
              line={line}
              state={state}
              isNew={isNew.has(line.id)}
              onHappened={onHappened}
            />
          ))}
        </Box>
      )}
    </Box>
  );
};
