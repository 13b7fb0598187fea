'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import {
  type Calibration,
  calibrationNames,
  calibrations,
  inOrder,
  predictionError,
} from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { msText } from '@/features/time/offsets';
import { PlainTable } from '@/ui/PlainTable';
import { saveFile } from '@/ui/saveFile';

const IS: Readonly<Record<Calibration['is'], string>> = {
  used: 'used',
  stale: 'stale: something is set otherwise',
  older: 'measured anew since',
  gone: 'nothing meets there any more',
};

const HEADINGS = ['Sound and camera', 'At', 'On', 'Predicted', 'Measured', 'Off', 'It is'] as const;

const ms = (value: number | null): string => (value === null ? 'not known' : `${msText(value)} ms`);

const quoted = (text: string): string => `"${text.replaceAll('"', '""')}"`;

/** Every measured offset beside its prediction, the latest first: how good the figures of the rig are. */
export const Kept = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const known = calibrations(analysis);
  const delays = inOrder(analysis.rig.knownDelays);
  const error = predictionError(known);
  const cells = (one: Calibration): string[] => [
    calibrationNames(analysis, one).where,
    one.on ?? '—',
    ms(one.predictedMs),
    `${msText(one.measuredMs)} ± ${msText(one.spreadMs)} ms`,
    one.offMs === null ? '—' : ms(one.offMs),
    IS[one.is] + (one.file === null ? '' : `, from ${one.file}`),
  ];
  const csv = (): string =>
    [[...HEADINGS], ...known.map((one) => [calibrationNames(analysis, one).what, ...cells(one)])]
      .map((row) => row.map(quoted).join(','))
      .join('\r\n');
  return (
    <Box as="section" aria-label="Measured and predicted">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Measured and predicted
      </Text>
      {known.length === 0 ? (
        <Text fontSize="sm" color="ink.soft">
          Nothing is kept as measured yet. Film the page that flashes, and keep what comes of it: it
          then takes the place of what is typical, until something on the way is set otherwise.
        </Text>
      ) : (
        <>
          <PlainTable
            label="Measured and predicted"
            headings={[...HEADINGS, '']}
            lines={known.map((one) => ({
              id: one.id,
              head: calibrationNames(analysis, one).what,
              cells: [
                ...cells(one),
                <Button
                  key="forget"
                  size="xs"
                  variant="outline"
                  className="screen-only"
                  aria-label={`Forget ${calibrationNames(analysis, one).where}, ${one.on ?? 'no date'}`}
                  onClick={() => run({ type: 'removeOffset', offsetId: one.id })}
                >
                  Forget
                </Button>,
              ],
              isMarked: one.is === 'stale',
            }))}
            note={
              error
                ? `What is used is ${msText(error.meanMs)} ms off its prediction on average, ` +
                  `${msText(error.worstMs)} ms at worst, by ${error.count}.`
                : 'Nothing of it is used now.'
            }
          />
          <Button
            size="xs"
            variant="outline"
            mt="2"
            className="screen-only"
            onClick={() => saveFile(`${analysis.rig.name}, measured.csv`, 'text/csv', csv())}
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
