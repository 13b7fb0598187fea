'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import { READINGS } from '@/features/chosen/readings';
import { useLoomView } from '@/features/chosen/view';

/** What the figures on the threads say. */
export const ReadingChoice = () => {
  const chosen = useLoomView((view) => view.reading);
  const setReading = useLoomView((view) => view.setReading);
  return (
    <Flex
      role="radiogroup"
      aria-label="Reading on the threads"
      borderWidth="1px"
      borderColor="rule.strong"
      borderRadius="md"
      overflow="hidden"
    >
      {READINGS.map((reading, index) => {
        const isOn = chosen === reading;
        return (
          <Box
            asChild
            key={reading}
            px="2.5"
            minH="8"
            fontSize="sm"
            cursor="pointer"
            borderLeftWidth={index ? '1px' : '0'}
            borderColor="rule"
            bg={isOn ? 'ink' : undefined}
            color={isOn ? 'paper' : 'ink'}
            fontWeight={isOn ? '600' : '400'}
          >
            <button
              type="button"
              role="radio"
              aria-checked={isOn}
              onClick={() => setReading(reading)}
            >
              <Text as="span" fontSize="xs" opacity="0.8" mr="1">
                {index + 1}
              </Text>
              {reading}
            </button>
          </Box>
        );
      })}
    </Flex>
  );
};
