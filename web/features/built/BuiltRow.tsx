'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { BuiltLine, Found, Rig } from '@echo-loom/core';
import { formatDate } from 'date-fns';
import { useState } from 'react';
import { FoundOtherwise } from './FoundOtherwise';

interface Props {
  readonly rig: Rig;
  readonly line: BuiltLine;
  readonly onTick: (found: Found) => void;
  readonly onUntick: () => void;
  readonly onPlanFollows: () => void;
  readonly onBuiltFollows: () => void;
}

const tickedText = ({ ticked }: BuiltLine): string =>
  ticked ? `${ticked.by}, ${formatDate(new Date(ticked.when), 'd MMM yyyy, HH:mm')}` : '';

/** One thing that can be looked at: what the plan says, whether it is so, and what to do where it is not. */
export const BuiltRow = ({ rig, line, onTick, onUntick, onPlanFollows, onBuiltFollows }: Props) => {
  const [isTyping, setTyping] = useState(false);
  const { state, what, plan, owner, ticked, planFollows } = line;
  const name = `${owner}, ${what}`;
  return (
    <Box
      as="li"
      py="1.5"
      borderTopWidth="1px"
      borderColor="rule"
      bg={state === 'differs' ? 'madder.wash' : undefined}
      px={state === 'differs' ? '2' : '0'}
      data-built={state}
    >
      <Flex gap="3" align="start" wrap="wrap">
        <Box flex="1" minW="14rem">
          <Text fontSize="sm">
            {what}: <b>{plan}</b>
          </Text>
          {state === 'differs' && (
            <Text fontSize="sm">
              Found: <b>{ticked?.found}</b>
            </Text>
          )}
          {ticked && (
            <Text fontSize="xs" color="ink.soft">
              {state === 'so' ? 'Is so' : 'Looked at'}: {tickedText(line)}
            </Text>
          )}
        </Box>
        <Flex gap="1.5" wrap="wrap">
          {state === 'open' && (
            <>
              <Button
                size="xs"
                variant="outline"
                aria-label={`${name}: is so`}
                onClick={() => onTick(line.toTick)}
              >
                Is so
              </Button>
              <Button
                size="xs"
                variant="ghost"
                aria-label={`${name}: found otherwise`}
                onClick={() => setTyping(true)}
              >
                Otherwise…
              </Button>
            </>
          )}
          {state === 'so' && (
            <Button
              size="xs"
              variant="ghost"
              aria-label={`${name}: take the tick back`}
              onClick={onUntick}
            >
              Take back
            </Button>
          )}
          {state === 'differs' && (
            <>
              <Button
                size="xs"
                variant="outline"
                disabled={planFollows.length === 0}
                aria-label={`${name}: the plan follows`}
                onClick={onPlanFollows}
              >
                Plan it as found
              </Button>
              <Button
                size="xs"
                variant="outline"
                aria-label={`${name}: made as planned`}
                onClick={onBuiltFollows}
              >
                Made as planned
              </Button>
            </>
          )}
        </Flex>
      </Flex>
      {isTyping && state === 'open' && (
        <FoundOtherwise
          rig={rig}
          line={line}
          onFound={(found) => {
            setTyping(false);
            onTick(found);
          }}
          onCancel={() => setTyping(false)}
        />
      )}
    </Box>
  );
};
