'use client';

import { SumList } from '@/features/findings/SumList';
import { Box, Text } from '@chakra-ui/react';
import {
  adjustableGains,
  type Analysis,
  explain,
  figure,
  formatName,
  headroomDb,
  isConversion,
  peakDb,
  snrDb,
  sourceOf,
  type Stage,
  voiceFigures,
} from '@echo-loom/core';
import { FigureLine } from '@/features/words/Section';

const unitText = (value: number | null, unit: string, digits = 1): string =>
  value === null ? 'cannot tell' : `${figure(value, digits)} ${unit}`;

const sourceName = (analysis: Analysis, stage: Stage): string =>
  analysis.device(sourceOf(stage).at.device).name;

const SoundLines = ({
  analysis,
  stage,
}: {
  readonly analysis: Analysis;
  readonly stage: Stage;
}) => {
  const figures = analysis.sound[stage.index];
  if (!figures) return null;
  const voice = voiceFigures(analysis, stage);
  const arrives =
    stage.via.by === 'route' && stage.parent ? analysis.sound[stage.parent.index] : undefined;
  const sums = isConversion(stage)
    ? [
        ...explain(analysis, { figure: 'gain needed', stage: stage.index }),
        ...explain(analysis, { figure: 'level', stage: stage.index }),
        ...explain(analysis, { figure: 'signal to noise', stage: stage.index }),
      ]
    : [
        ...explain(analysis, { figure: 'level', stage: stage.index }),
        ...explain(analysis, { figure: 'headroom', stage: stage.index }),
      ];
  return (
    <>
      {arrives && (
        <FigureLine
          name="Arrives"
          value={unitText(arrives.levelDb, arrives.unit, 2)}
          title="RMS level at the input"
        />
      )}
      {voice && adjustableGains(analysis, stage)[0] && (
        <FigureLine
          name="Gain set"
          value={`${figure(voice.gainSetDb ?? 0)} of ${voice.gainMaxDb ?? 0} dB`}
          title="The last gain before the converter that can be turned"
        />
      )}
      {voice && (
        <FigureLine
          name="Gain needed"
          value={unitText(voice.gainNeededDb, 'dB', 2)}
          title="For the house recording level"
        />
      )}
      <FigureLine
        name={voice ? 'Leaves' : 'Level'}
        value={unitText(figures.levelDb, figures.unit, 2)}
        title="RMS level"
      />
      <FigureLine
        name="Peaks"
        value={unitText(peakDb(figures), figures.unit)}
        title="As a peak meter shows them: RMS + crest − 3.01 dB"
      />
      <FigureLine
        name="Headroom"
        value={unitText(headroomDb(figures), 'dB')}
        title="From the peaks to the ceiling here"
      />
      <FigureLine
        name="Signal to noise"
        value={unitText(snrDb(figures), 'dB', 2)}
        title={
          figures.noise?.weighting === 'mixed'
            ? 'The noise figures are of both kinds; the sum says how they were taken'
            : 'Level over noise'
        }
      />
      {figures.unknown && (
        <Text fontSize="sm" mt="1">
          Cannot tell more: needs {figures.unknown.says}.
        </Text>
      )}
      <SumList sums={sums} open={false} />
    </>
  );
};

const PictureLines = ({
  analysis,
  stage,
}: {
  readonly analysis: Analysis;
  readonly stage: Stage;
}) => {
  const figures = analysis.picture[stage.index];
  if (!figures) return null;
  const sums = [
    ...explain(analysis, { figure: 'link load', stage: stage.index }),
    ...explain(analysis, { figure: 'stream', stage: stage.index }),
  ];
  return (
    <>
      <FigureLine name="Format" value={figures.format ? formatName(figures.format) : 'none'} />
      {figures.payloadGbps !== null && (
        <FigureLine name="Load on the link" value={`${figure(figures.payloadGbps, 3)} Gb/s`} />
      )}
      {figures.streamMBps !== null && (
        <FigureLine name="Data rate" value={`${figure(figures.streamMBps, 1)} MB/s`} />
      )}
      {figures.stop && (
        <Text fontSize="sm" mt="1">
          Stopped here: {figures.stop.says}.
        </Text>
      )}
      {sums.length > 0 && <SumList sums={sums} open={false} />}
    </>
  );
};

/** Most signals shown one by one; a bar of a large rig carries hundreds. */
const SHOWN = 8;

interface Props {
  readonly analysis: Analysis;
  readonly stages: readonly Stage[];
}

/** What a place carries: one block for each source that passes it. */
export const Carries = ({ analysis, stages }: Props) => (
  <>
    {stages.slice(0, SHOWN).map((stage) => {
      const delay = analysis.delay[stage.index];
      return (
        <Box key={stage.index} mb="3">
          <Text fontSize="sm" fontWeight="600">
            {sourceName(analysis, stage)}{' '}
            <Text as="span" fontWeight="400" color="ink.soft">
              {stage.signal}, {stage.at.port.name}
            </Text>
          </Text>
          {stage.signal === 'sound' ? (
            <SoundLines analysis={analysis} stage={stage} />
          ) : (
            <PictureLines analysis={analysis} stage={stage} />
          )}
          {delay && (delay.knownMs > 0 || delay.unknown > 0) && (
            <FigureLine
              name="Delay so far"
              value={`${delay.unknown > 0 ? '≥ ' : ''}${figure(delay.knownMs)} ms`}
            />
          )}
        </Box>
      );
    })}
    {stages.length > SHOWN && (
      <Text fontSize="sm" color="ink.soft">
        And {stages.length - SHOWN} more; the Threads view lists them all.
      </Text>
    )}
  </>
);
