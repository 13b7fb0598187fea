import { Box, Text } from '@chakra-ui/react';
import { type ComparedRuns, entry, readOff } from '@echo-loom/core';
import { useRig } from '@/features/rig/RigProvider';
import { PlainTable } from '@/ui/PlainTable';

const written = (value: number): string => value.toFixed(1).replace('-', '−');

/** What was read off in the runs that were, beside what the rig makes of it now; and what made trouble. */
export const Readings = ({
  compared: { readings, trouble, runs },
}: {
  readonly compared: ComparedRuns;
}) => {
  const devices = useRig((state) => state.rig.devices);
  return (
    <>
      {readings.length > 0 && (
        <Box mt="4">
          <PlainTable
            label="What was read off"
            headings={['Read off', 'Expected', 'In the runs', 'The middle of them']}
            lines={readings.map(({ line, reads, values, isAlwaysFar }) => ({
              id: line.id,
              head: [line.what, line.where].filter((text) => text !== '').join(', '),
              isMarked: isAlwaysFar,
              cells: [
                `${written(reads.expected)} ${reads.unit}`,
                values.times === 1
                  ? `${written(values.middle)} ${reads.unit}, once`
                  : `${written(values.least)} to ${written(values.most)} ${reads.unit}, ${values.times} times`,
                readOff(reads, values.middle).says,
              ],
            }))}
            note="Marked where several runs were far off to the same side: something stands otherwise than in the rig."
          />
        </Box>
      )}
      {trouble.length > 0 && (
        <Text fontSize="sm" mt="2">
          {`Trouble: ${trouble
            .map(
              ({ deviceId, incidents, runs: those }) =>
                `${entry(devices, deviceId)?.name ?? deviceId} ${incidents} ${incidents === 1 ? 'time' : 'times'} ` +
                `in ${those} of ${runs} runs`,
            )
            .join('; ')}.`}
        </Text>
      )}
    </>
  );
};
