'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { msText } from '@/features/time/offsets';
import { PlainTable } from '@/ui/PlainTable';
import { saveFile } from '@/ui/saveFile';
import type { ClapFound, Shifted } from '@/workers/measuring/tasks';
import { useMeasuring } from '@/workers/measuring/useMeasuring';
import { editList, startsCsv, startsOf, trimsOf } from './clap-lists';
import { Correlation } from './Correlation';
import { Files } from './Files';
import { Running } from './Running';

const OURS = ['clap-camera.wav', 'clap-recorder.wav'] as const;
const SAYS =
  'Which recording begins when, and how their clocks drift: two or more that hear the same claps. ' +
  'Clap twice at the beginning and twice at the end.';
/** Frames a second of the edit list. */
const EDIT_RATE = 25;

const seconds = (value: number | null): string =>
  value === null ? 'not sure' : `${value.toFixed(4)} s`;

const driftText = ({ driftPpm, driftSpreadPpm }: Shifted): string =>
  driftPpm === null
    ? 'too short to tell'
    : `${driftPpm.toFixed(1).replace('-', '−')} ± ${(driftSpreadPpm ?? 0).toFixed(1)} ppm`;

const Found = ({ found, title }: { readonly found: ClapFound; readonly title: string }) => {
  const starts = startsOf(found);
  const trims = trimsOf(starts);
  return (
    <Box mt="3">
      <PlainTable
        label="When each recording begins"
        headings={['Recording', 'Begins', 'Cut off its beginning', 'Clock']}
        lines={starts.map(({ name, startS }, at) => {
          const other = at === 0 ? null : found.rest[at - 1];
          return {
            id: `${at} ${name}`,
            head: name,
            cells: [
              seconds(startS),
              seconds(trims[at] ?? null),
              other ? (other.isSure ? driftText(other) : '—') : 'the first',
            ],
          };
        })}
      />
      {found.rest.map((other, at) => (
        <Box key={`${at} ${other.name}`} mt="2">
          {other.isSure ? (
            <Flex gap="3" align="center" wrap="wrap">
              <Text fontSize="sm" flex="1" minW="16rem">
                {other.name} hears the same {msText(Math.abs(other.offsetMs))} ms{' '}
                {other.offsetMs < 0 ? 'earlier' : 'later'} than {found.first.name} (
                {msText(other.offsetSamples)} samples at 48 kHz), sure to {other.spreadMs} ms, by{' '}
                {other.events.length === 1 ? 'one clap' : `${other.events.length} claps that agree`}
                . The clearest stands{' '}
                {Math.max(...other.events.map(({ clear }) => clear)).toFixed(0)} times over what is
                around it.
              </Text>
              <Correlation picture={other.picture} />
            </Flex>
          ) : (
            <Text fontSize="sm" color="madder">
              {other.name}: nothing was found that both hear for sure, so no figure is given. Clap
              twice near both microphones, or use a longer piece.
            </Text>
          )}
        </Box>
      ))}
      <Flex gap="2" mt="2" wrap="wrap" className="screen-only">
        <Button
          size="xs"
          variant="outline"
          onClick={() => saveFile(`${title}, starts.csv`, 'text/csv', startsCsv(found))}
        >
          Save as CSV
        </Button>
        <Button
          size="xs"
          variant="outline"
          onClick={() =>
            saveFile(`${title}, starts.edl`, 'text/plain', editList(found, title, EDIT_RATE))
          }
        >
          Save as an edit list, {EDIT_RATE} frames
        </Button>
      </Flex>
    </Box>
  );
};

/** When recordings begin against each other, by a clap or a slate that all of them hear. */
export const Clap = ({ title }: { readonly title: string }) => {
  const { at, begin, cancel } = useMeasuring<ClapFound>();
  return (
    <Box as="section" aria-label="Clap">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Clap
      </Text>
      <Files
        label="Choose recordings"
        says={SAYS}
        least={2}
        ours={OURS}
        isBusy={at.state === 'running'}
        onFiles={(files) => begin((tasks, tell) => tasks.clap(files, tell))}
      />
      <Running at={at} onCancel={cancel} />
      {at.state === 'done' && <Found found={at.value} title={title} />}
    </Box>
  );
};
