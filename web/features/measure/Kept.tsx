'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { calibrations, inOrder, predictionError } from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { msText } from '@/features/time/offsets';
import { PlainTable } from '@/ui/PlainTable';
import { saveFile } from '@/ui/saveFile';
import { HEADINGS, keptCsv, keptRows } from './kept-rows';

/** Everything measured beside its prediction, the latest first: how good the figures of the rig are. */
export const Kept = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const rows = keptRows(analysis);
  const offsets = calibrations(analysis);
  const delays = inOrder(analysis.rig.knownDelays);
  const error = predictionError(offsets);
  return (
    <Box as="section" aria-label="Measured and predicted">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Measured and predicted
      </Text>
      {rows.length === 0 ? (
        <Text fontSize="sm" color="ink.soft">
          Nothing is kept as measured yet. Film the page that flashes, record a voice, or clap in
          the room, and keep what comes of it: it then takes the place of what is typical, until
          something that matters is set otherwise.
        </Text>
      ) : (
        <>
          <PlainTable
            label="Measured and predicted"
            headings={[...HEADINGS, '']}
            lines={rows.map(({ id, what, cells, isStale, forget }) => ({
              id,
              head: what,
              cells: [
                ...cells,
                <Button
                  key="forget"
                  size="xs"
                  variant="outline"
                  className="screen-only"
                  aria-label={`Forget ${what}, ${cells[0]}, ${cells[1] === '—' ? 'no date' : cells[1]}`}
                  onClick={() => run(forget)}
                >
                  Forget
                </Button>,
              ],
              isMarked: isStale,
            }))}
            note={
              offsets.length === 0
                ? undefined
                : error
                  ? `Of offsets, what is used is ${msText(error.meanMs)} ms off its prediction on average, ` +
                    `${msText(error.worstMs)} ms at worst, by ${error.count}.`
                  : 'No offset is used now.'
            }
          />
          <Button
            size="xs"
            variant="outline"
            mt="2"
            className="screen-only"
            onClick={() =>
              saveFile(`${analysis.rig.name}, measured.csv`, 'text/csv', keptCsv(rows))
            }
          >
            Save as CSV
          </Button>
        </>
      )}
      {delays.length > 0 && (
        <Text fontSize="sm" mt="2" color="ink.soft">
          {delays.length} {delays.length === 1 ? 'delay is' : 'delays are'} known of single devices
          beside these: they stand in Time.
        </Text>
      )}
    </Box>
  );
};
