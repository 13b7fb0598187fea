'use client';

import { Box, Text } from '@chakra-ui/react';
import { PlainTable } from '@/ui/PlainTable';
import type { LevelsFound } from '@/workers/measuring/tasks';
import { useMeasuring } from '@/workers/measuring/useMeasuring';
import { Files } from './Files';
import { BesideVoice } from './BesideVoice';
import { level } from './level';
import { NoiseByBand } from './NoiseByBand';
import { Running } from './Running';

const OURS = ['voice.wav'] as const;
const SAYS =
  'Loudness, peaks, the noise in pauses and hum of a test recording: a voice as in the show, with ' +
  'two seconds of nothing.';

const humText = ({ hum, lengthS }: LevelsFound): string =>
  hum
    ? `${hum.hz} Hz and harmonics ${hum.harmonics.join(', ')}: ${level(hum.dbfs, 'dBFS')}`
    : lengthS < 2
      ? 'too short to tell'
      : 'none that stands out';

const noteOf = ({ lengthS, rateHz, channels }: LevelsFound): string =>
  `${lengthS.toFixed(1)} s, ${rateHz} Hz, ${channels} ${channels === 1 ? 'channel' : 'channels'}. ` +
  'Loudness by BS.1770 and R 128; of more than two channels the first two count.';

/** What a test recording of a voice is: how loud, its peaks, its pauses, and the hum in them. */
export const Levels = () => {
  const { at, begin, cancel } = useMeasuring<LevelsFound>();
  const found = at.state === 'done' ? at.value : null;
  return (
    <Box as="section" aria-label="Levels">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Levels
      </Text>
      <Files
        label="Choose a recording"
        says={SAYS}
        least={1}
        ours={OURS}
        records={{ lengthS: 20 }}
        isBusy={at.state === 'running'}
        onFiles={([file]) => file && begin((tasks, tell) => tasks.levels(file, tell))}
      />
      <Running at={at} onCancel={cancel} />
      {found && (
        <Box mt="3">
          <PlainTable
            label={`Levels of ${found.name}`}
            headings={[found.name, 'Measured']}
            lines={[
              { id: 'lufs', head: 'Loudness, gated', cells: [level(found.lufs, 'LUFS')] },
              {
                id: 'average',
                head: 'Average while it speaks',
                cells: [level(found.averageDbfs, 'dBFS')],
              },
              { id: 'peak', head: 'Largest sample', cells: [level(found.peakDbfs, 'dBFS')] },
              { id: 'pauses', head: 'Pauses', cells: [level(found.pausesLufs, 'LUFS')] },
              {
                id: 'over',
                head: 'Voice over the pauses',
                cells: [
                  found.lufs === null || found.pausesLufs === null
                    ? '—'
                    : `${(found.lufs - found.pausesLufs).toFixed(1)} dB`,
                ],
              },
              {
                id: 'clipped',
                head: 'Tops cut off',
                cells: [found.clipped === 0 ? 'none' : `${found.clipped} ✕`],
                isMarked: found.clipped > 0,
              },
              { id: 'hum', head: 'Hum in the quietest pause', cells: [humText(found)] },
            ]}
            note={noteOf(found)}
          />
          <BesideVoice found={found} />
          {found.noise && <NoiseByBand noise={found.noise} />}
        </Box>
      )}
    </Box>
  );
};
