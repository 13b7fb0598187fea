'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type CheckLine,
  checklistChanged,
  type Phase,
  PHASES,
  type PlannedLine,
  type RunState,
  timeOfDayText,
} from '@echo-loom/core';
import { useState } from 'react';
import { PHASE_TITLES } from '@/features/checklist/titles';
import { localS } from './local';

interface Props {
  readonly lines: readonly CheckLine[];
  /** As they were when the run began */
  readonly planned: readonly PlannedLine[];
  readonly state: RunState;
  readonly onTick: (lineId: string, isDone: boolean) => void;
}

/** Where the day stands: the first list that has something open. */
const phaseOf = (lines: readonly CheckLine[], { stage, ticks }: RunState): Phase => {
  if (stage === 'live') return 'during';
  if (stage === 'after') return 'strike';
  return lines.find(({ id, phase }) => phase !== 'strike' && !ticks.has(id))?.phase ?? 'go live';
};

const Line = ({
  line,
  state,
  isNew,
  onTick,
}: {
  readonly line: CheckLine;
  readonly state: RunState;
  readonly isNew: boolean;
  readonly onTick: Props['onTick'];
}) => {
  const tick = state.ticks.get(line.id);
  return (
    <Box as="li" borderBottomWidth="1px" borderColor="rule">
      <Flex
        as="button"
        role="checkbox"
        aria-checked={tick !== undefined}
        aria-label={line.what}
        width="100%"
        textAlign="start"
        gap="3"
        py="2.5"
        px="1"
        minH="14"
        align="start"
        cursor="pointer"
        onClick={() => onTick(line.id, tick === undefined)}
      >
        <Box
          flex="none"
          width="7"
          height="7"
          borderWidth="2px"
          borderColor={line.isMust && !tick ? 'madder' : 'rule.strong'}
          bg={tick ? 'level.well' : 'transparent'}
          color="paper"
          fontSize="lg"
          lineHeight="1.4"
          textAlign="center"
          fontWeight="700"
          aria-hidden
        >
          {tick ? '✓' : ''}
        </Box>
        <Box flex="1" minW="0">
          <Text fontSize="lg" lineHeight="1.3" color={tick ? 'ink.soft' : 'ink'}>
            {line.what}
            {line.isMust && (
              <Text as="span" fontSize="sm" color="madder">
                {' '}
                must
              </Text>
            )}
            {isNew && (
              <Text as="span" fontSize="sm" color="level.warn">
                {' '}
                changed since this run began
              </Text>
            )}
          </Text>
          {line.figure !== null && (
            <Text className="figures" fontSize="sm">
              {line.figure}
            </Text>
          )}
          <Text fontSize="sm" color="ink.soft">
            {[line.where, line.who, line.why].filter((text) => text !== '').join(' · ')}
          </Text>
          {line.caution !== null && (
            <Text fontSize="sm" color="level.warn">
              {line.caution}
            </Text>
          )}
          {tick && (
            <Text fontSize="sm" color="ink.soft">
              {`${tick.by}, ${timeOfDayText(localS(tick.atMs))}`}
            </Text>
          )}
        </Box>
      </Flex>
    </Box>
  );
};

/** The lists of the day, one at a time, each line as large as a thumb. */
export const ChecksPart = ({ lines, planned, state, onTick }: Props) => {
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
            <Line
              key={line.id}
              line={line}
              state={state}
              isNew={isNew.has(line.id)}
              onTick={onTick}
            />
          ))}
        </Box>
      )}
    </Box>
  );
};
