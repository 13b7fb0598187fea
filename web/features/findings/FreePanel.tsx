'use client';

import { Box, Button, Checkbox, Flex, Text } from '@chakra-ui/react';
import { type Analysis, type FreeStep, verdictText } from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { SearchProgress } from '@/ui/Searching';
import { useSearch } from '@/workers/useSearch';

type Named = Pick<FreeStep, 'key' | 'label'>;

/** Everything that helps and costs nothing, looked at first, then done as one edit. */
export const FreePanel = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [leftOut, setLeftOut] = useState<readonly Named[]>([]);
  const search = useSearch({
    analysis,
    ask: (tasks, onProgress) =>
      tasks.allFree(
        leftOut.map(({ key }) => key),
        onProgress,
      ),
  });
  const free = search.at.state === 'done' ? search.at.value : null;
  const look = (without: readonly Named[]) => {
    setLeftOut(without);
    search.start(without.map(({ key }) => key).join(' '));
  };
  const count = free?.steps.length ?? 0;
  return (
    <Box className="screen-only" mb="4" maxW="760px">
      {search.at.state === 'idle' && (
        <Button size="sm" variant="outline" onClick={() => look([])}>
          Look at all that is free
        </Button>
      )}
      <SearchProgress at={search.at} label="Trying what costs nothing" onCancel={search.cancel} />
      {free && (
        <Box
          role="region"
          aria-label="All that is free"
          bg="madder.wash"
          borderLeftWidth="3px"
          borderColor="madder"
          p="2.5"
        >
          <Text fontSize="sm" fontWeight="600">
            {count === 0
              ? 'Nothing that is free helps further.'
              : `${count} ${count === 1 ? 'step costs' : 'steps cost'} nothing. Then: ` +
                `${verdictText(free.after).toLowerCase()}.`}
          </Text>
          {[...free.steps, ...leftOut].map(({ key, label }, index) => (
            <Checkbox.Root
              key={`${key} ${index}`}
              size="sm"
              display="flex"
              mt="1"
              checked={leftOut.every((other) => other.key !== key)}
              onCheckedChange={({ checked }) =>
                look(
                  checked === true
                    ? leftOut.filter((other) => other.key !== key)
                    : [...leftOut, { key, label }],
                )
              }
            >
              <Checkbox.HiddenInput />
              <Checkbox.Control />
              <Checkbox.Label fontSize="xs" fontWeight="400">
                {label}
              </Checkbox.Label>
            </Checkbox.Root>
          ))}
          <Flex gap="2" mt="2">
            {count > 0 && (
              <Button
                size="sm"
                bg="madder"
                color="madder.ink"
                onClick={() =>
                  run({
                    type: 'batch',
                    label: 'All that is free',
                    commands: free.steps.flatMap(({ commands }) => [...commands]),
                  })
                }
              >
                {count === 1 ? 'Do it' : `Do all ${count}`}
              </Button>
            )}
            <Button size="sm" variant="outline" onClick={search.cancel}>
              Not now
            </Button>
          </Flex>
        </Box>
      )}
    </Box>
  );
};
