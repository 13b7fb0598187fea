import { Box, Text } from '@chakra-ui/react';
import { type Analysis, eyeLines, figure } from '@echo-loom/core';
import { PlainTable } from '@/ui/PlainTable';

/** How far aside of its lens each face looks when it looks at a screen or at somebody. */
export const EyeLines = ({ analysis }: { readonly analysis: Analysis }) => {
  const all = eyeLines(analysis);
  if (all.length === 0) return null;
  return (
    <Box mt="4">
      <Text as="h2" fontWeight="600" mb="1">
        Eye lines
      </Text>
      <PlainTable
        label="Eye lines"
        headings={['Who', 'Seen by', 'Looking at', 'Aside of the lens']}
        lines={all.map(({ personId, person, shotId, camera, at, deg }) => ({
          id: `${personId} ${shotId} ${at}`,
          head: person,
          cells: [camera, at, `${figure(deg, 0)}°`],
        }))}
        note="Up to 3° is not seen, above 5° it is; below the lens is forgiven sooner than beside it."
      />
    </Box>
  );
};
