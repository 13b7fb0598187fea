import { Box } from '@chakra-ui/react';
import type { Octaves } from '@echo-loom/core/signal';
import { PlainTable } from '@/ui/PlainTable';
import { level } from './level';

/** `31.5`, `1k`, `16k` */
const band = (hz: number): string => (hz < 1000 ? String(hz) : `${hz / 1000}k`);

/** The quietest pause of a recording, octave by octave. */
export const NoiseByBand = ({ noise }: { readonly noise: Octaves }) => (
  <Box mt="3">
    <PlainTable
      label="Noise by octave"
      headings={['Octave, Hz', ...noise.bands.map(({ bandHz }) => band(bandHz))]}
      lines={[{ id: 'noise', head: 'dBFS', cells: noise.bands.map(({ dbfs }) => level(dbfs, '')) }]}
      note={
        `Of the quietest two seconds: ${level(noise.dbfs, 'dBFS')} in all, ` +
        `${level(noise.aWeightedDbfs, 'dBFS')} A-weighted. They are levels in the recording, not in the ` +
        'room: the loudest tells what to look for. Fans and traffic stand low, hiss of a gain turned far ' +
        'up high.'
      }
    />
  </Box>
);
