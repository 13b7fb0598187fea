import { Box, Flex, Text } from '@chakra-ui/react';
import type { ChangeTask, Schedule } from '@echo-loom/core';

interface Props {
  readonly tasks: readonly Pick<ChangeTask, 'id' | 'what' | 'where'>[];
  readonly schedule: Extract<Schedule, { ok: true }>;
  readonly people: number;
}

/** `3:15` */
export const clockText = (minutes: number): string => {
  const seconds = Math.round(minutes * 60);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};

/** What each person does one after the other: read from the top, with the minute each begins. */
export const Timeline = ({ tasks, schedule, people }: Props) => {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return (
    <Flex gap="4" wrap="wrap" align="start">
      {Array.from({ length: people }, (_, index) => index + 1).map((person) => {
        const mine = schedule.tasks.filter(({ who }) => who.includes(person));
        return (
          <Box key={person} flex="1" minW="15rem" role="group" aria-label={`Person ${person}`}>
            <Text fontWeight="600" fontSize="sm">
              Person {person}
            </Text>
            <Box as="ol" listStyleType="none" borderLeftWidth="2px" borderColor="rule.strong">
              {mine.map(({ id, fromMin, toMin, who }) => {
                const task = byId.get(id);
                return (
                  <Box
                    as="li"
                    key={id}
                    ps="2.5"
                    py="1"
                    borderTopWidth="1px"
                    borderColor="rule"
                    // As tall as it takes, so that columns stand beside one another in time.
                    minH={`${Math.max(2, (toMin - fromMin) * 1.6)}rem`}
                  >
                    <Text as="span" className="figures" fontSize="xs" color="ink.soft">
                      {clockText(fromMin)}–{clockText(toMin)}
                    </Text>{' '}
                    <Text as="span" fontSize="sm" fontWeight="600">
                      {task?.what}
                    </Text>
                    <Text fontSize="xs" color="ink.soft">
                      {[
                        task?.where ?? '',
                        ...(who.length > 1
                          ? [
                              `with ${who
                                .filter((other) => other !== person)
                                .map((other) => `person ${other}`)
                                .join(' and ')}`,
                            ]
                          : []),
                      ]
                        .filter((text) => text !== '')
                        .join(' · ')}
                    </Text>
                  </Box>
                );
              })}
              {mine.length === 0 && (
                <Box as="li" ps="2.5" fontSize="sm">
                  Nothing to do.
                </Box>
              )}
            </Box>
          </Box>
        );
      })}
    </Flex>
  );
};
