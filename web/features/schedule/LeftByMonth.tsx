import { Box, Text } from '@chakra-ui/react';
import type { LeftInMonth } from '@echo-loom/core';
import { format, parseISO } from 'date-fns';
import { bytesText } from '@/features/files/words';
import { PlainTable } from '@/ui/PlainTable';

/** What the shows leave on drives, month by month over all rigs, and how much of it lies there. */
export const LeftByMonth = ({ left }: { readonly left: readonly LeftInMonth[] }) =>
  left.every(({ gb }) => gb === 0) ? null : (
    <Box as="section" aria-label="What shows leave" mt="5" maxW="40rem">
      <Text as="h2" fontWeight="600" mb="1">
        What shows leave
      </Text>
      <PlainTable
        label="Recorded by month"
        headings={['Month', 'Shows', 'Recorded', 'Kept at its end']}
        lines={left.map(({ month, shows, gb, keptGb }) => ({
          id: month,
          head: format(parseISO(`${month}-01`), 'MMMM yyyy'),
          cells: [shows, bytesText(gb), bytesText(keptGb)],
        }))}
        note="One copy of each, of the days that are planned, as long as each rig keeps its files."
      />
    </Box>
  );
