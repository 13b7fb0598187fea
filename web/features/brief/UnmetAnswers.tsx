'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Unmet } from '@echo-loom/core';
import { useEffect, useRef, useState } from 'react';

interface Props {
  readonly unmet: readonly Unmet[];
  readonly onKeep: () => Promise<void>;
  readonly onChange: () => void;
}

/** Which answers a rig does not meet, before it is kept. */
export const UnmetAnswers = ({ unmet, onKeep, onChange }: Props) => {
  const [isKeeping, setKeeping] = useState(false);
  const heading = useRef<HTMLHeadingElement>(null);
  const section = useRef<HTMLDivElement>(null);
  useEffect(() => {
    section.current?.scrollIntoView({ block: 'nearest' });
    heading.current?.focus({ preventScroll: true });
  }, []);
  return (
    <Box
      as="section"
      ref={section}
      aria-labelledby="unmet"
      borderWidth="1px"
      borderColor="rule"
      borderLeftWidth="3px"
      borderLeftColor="level.warn"
      p="3"
      mb="3"
    >
      <Text as="h2" id="unmet" ref={heading} tabIndex={-1} fontWeight="600" outline="none">
        {unmet.length === 1 ? 'One answer cannot be met' : `${unmet.length} answers cannot be met`}
      </Text>
      <Box as="ul" ps="5" my="1.5" fontSize="sm" listStyleType="disc">
        {unmet.map(({ says, costs }) => (
          <li key={says}>
            {says}
            {costs !== null && ` Meeting it costs ${Math.round(costs)} more.`}
          </li>
        ))}
      </Box>
      <Flex gap="2" wrap="wrap">
        <Button
          size="sm"
          loading={isKeeping}
          onClick={() => {
            setKeeping(true);
            void onKeep().finally(() => setKeeping(false));
          }}
        >
          Keep the rig as it is
        </Button>
        <Button size="sm" variant="outline" onClick={onChange}>
          Change the answers
        </Button>
      </Flex>
    </Box>
  );
};
