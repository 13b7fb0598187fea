'use client';

import { Box, Text } from '@chakra-ui/react';
import {
  type Analysis,
  type BuiltRoom,
  explain,
  figure,
  readFrom,
  roomSound,
  singleModesBelowHz,
  targetS,
} from '@echo-loom/core';
import { SumList } from '@/features/findings/SumList';
import { measuredText } from '@/features/measure/origin';
import { PlainTable } from '@/ui/PlainTable';
import { BAND_NAMES } from './AbsorptionCells';
import { RingsChart } from './RingsChart';

interface Props {
  readonly analysis: Analysis;
  readonly built: BuiltRoom;
  /** Times of each band with what is being tried; null where nothing is */
  readonly tried: readonly number[] | null;
}

const seconds = (s: number): string => (Number.isFinite(s) ? `${figure(s, 2)} s` : 'endless');

/** How long the room rings, against what is right for speech, before and after. */
export const Rings = ({ analysis, built, tried }: Props) => {
  const typed = analysis.rig.room.rt60S;
  const from = readFrom(analysis, 'room');
  const right = targetS(analysis.rig.houseRules.room, built.volumeM3);
  const { rt60S } = roomSound(analysis);
  return (
    <Box>
      <Text as="h2" fontSize="lg" fontWeight="600">
        Rings for {seconds(built.rt60S)}
      </Text>
      <Text fontSize="sm" mb="2">
        {seconds(right)} is right for speech in {figure(built.volumeM3, 0)} m³; bare it would ring
        for {seconds(built.bareRt60S)}.
        {typed !== null &&
          (from
            ? ` It was${measuredText(from)}: ${seconds(typed)}, which counts.`
            : ` Typed under Sound: ${seconds(typed)}, which counts.`)}
        {rt60S !== null &&
          ` Below ${figure(singleModesBelowHz(built.volumeM3, rt60S), 0)} Hz single tones of the ` +
            'room rule, not these times.'}
      </Text>
      <RingsChart
        label={`How long the room rings: ${built.bands
          .map(({ hz, rt60S: s }) => `${hz} Hz ${seconds(s)}`)
          .join(', ')}`}
        bands={BAND_NAMES}
        lines={[
          { name: 'now', values: built.bands.map((band) => band.rt60S) },
          ...(tried ? [{ name: 'with it', values: tried }] : []),
        ]}
        targetS={right}
      />
      <PlainTable
        label="How long the room rings"
        headings={['', ...BAND_NAMES.map((name) => `${name} Hz`)]}
        lines={[
          {
            id: 'now',
            head: 'Now',
            cells: built.bands.map((band) => seconds(band.rt60S)),
          },
          ...(tried ? [{ id: 'tried', head: 'With it', cells: tried.map(seconds) }] : []),
          {
            id: 'absorbs',
            head: 'Takes up',
            cells: built.bands.map(
              ({ absorptionM2, airM2 }) => `${figure(absorptionM2 + airM2)} m²`,
            ),
          },
          { id: 'by', head: 'By', cells: built.bands.map(({ relation }) => relation) },
        ]}
      />
      <SumList sums={explain(analysis, { figure: 'reverberation' })} open={false} />
    </Box>
  );
};
