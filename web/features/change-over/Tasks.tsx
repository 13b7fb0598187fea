'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { ChangeTask } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';

const MOST_MIN = 600;

/** Every task with its minutes and where they come from; what it took this time is typed beside it, and counts. */
export const Tasks = ({
  tasks,
  names,
}: {
  readonly tasks: readonly ChangeTask[];
  readonly names: ReadonlyMap<string, string>;
}) => {
  const { run } = useRigSession();
  return (
    <Box mt="5">
      <Text as="h3" fontWeight="600" mb="1">
        Tasks and how they are estimated
      </Text>
      <PlainTable
        label="Tasks"
        headings={['Task', 'Where', 'Minutes', 'People', 'After', 'Estimated by', 'Took']}
        lines={tasks.map(({ id, what, where, minutes, people, after, sum, spread }) => ({
          id,
          head: what,
          cells: [
            where,
            spread && spread.times > 1
              ? `${minutes} (${spread.leastMin} to ${spread.mostMin})`
              : minutes,
            people,
            id === 'check'
              ? 'everything'
              : after.map((other) => names.get(other) ?? other).join('; ') || '–',
            sum,
            <Flex key="took" gap="1" align="center" className="screen-only">
              <NumberField
                label={`What ${what} took`}
                unit="min"
                inCell
                mayBeUnknown
                value={null}
                min={0.05}
                max={MOST_MIN}
                onCommit={(took) =>
                  took !== null && run({ type: 'measureTask', taskId: id, minutes: took })
                }
              />
              {spread && (
                <Button
                  size="xs"
                  variant="ghost"
                  aria-label={`Forget what ${what} took`}
                  onClick={() => run({ type: 'forgetTask', taskId: id })}
                >
                  Forget
                </Button>
              )}
            </Flex>,
          ],
        }))}
      />
      <Text fontSize="xs" color="ink.soft" mt="1.5">
        Estimates are typical; the middle of what was measured counts for more. Over 20 kg two
        carry; local rules may ask for two sooner. What hangs over heads stays where a competent
        person hung it.
      </Text>
    </Box>
  );
};
