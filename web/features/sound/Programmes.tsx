import { Box, Text } from '@chakra-ui/react';
import { figure, loudnesses, TRUE_PEAK_DBTP, type Analysis } from '@echo-loom/core';
import { PlainTable } from '@/ui/PlainTable';
import { channelCounts, inputCounts, type CountRow } from './rows';

const used = ({ used: count, most }: CountRow): string =>
  most === null ? `${count}, not limited here` : `${count} of ${most}`;

/** How loud each programme will measure, and how full inputs and sound lines are. */
export const Programmes = ({ analysis }: { readonly analysis: Analysis }) => {
  const [programmes, inputs, channels] = [
    loudnesses(analysis),
    inputCounts(analysis),
    channelCounts(analysis),
  ];
  return (
    <>
      {programmes.length > 0 && (
        <Box mt="5">
          <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
            Loudness, estimated
          </Text>
          <PlainTable
            label="Loudness"
            headings={['Where', 'Will measure', 'To be', 'Add', 'Peaks then']}
            lines={programmes.map(({ end, lufs, targetLufs, byDb, peakAfterDbtp }) => ({
              id: end.id,
              head: analysis.device(end).name,
              cells: [
                `${figure(lufs)} LUFS`,
                `${figure(targetLufs, 0)} LUFS`,
                `${byDb > 0 ? '+' : ''}${figure(byDb)} dB`,
                `${figure(peakAfterDbtp)} dBTP`,
              ],
            }))}
            note={
              'People take turns, each as loud as they stand; peaks are to stay under ' +
              `${figure(TRUE_PEAK_DBTP, 0)} dBTP. An estimate: measure the programme.`
            }
          />
        </Box>
      )}
      {(inputs.length > 0 || channels.length > 0) && (
        <Box mt="5">
          <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
            Inputs and channels
          </Text>
          <PlainTable
            label="Inputs and channels"
            headings={['Where', 'In use']}
            lines={[
              ...inputs.map((row) => ({
                id: row.id,
                head: `${row.where}, microphone inputs`,
                cells: [used(row)],
              })),
              ...channels.map((row) => ({
                id: row.id,
                head: `${row.where}, sound channels`,
                cells: [used(row)],
              })),
            ]}
          />
        </Box>
      )}
    </>
  );
};
