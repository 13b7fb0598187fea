'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import {
  curvePoints,
  entry,
  figure,
  pressedTo,
  processors,
  ratioTogether,
  shapings,
  sourceOf,
  type Analysis,
  type Compressor,
  type Processor,
  type Stage,
} from '@echo-loom/core';
import dynamic from 'next/dynamic';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { Switched } from '@/ui/Switched';

const CurveChart = dynamic(() => import('@/ui/CurveChart').then((module) => module.CurveChart), {
  ssr: false,
});

/** What a compressor makes of the voice, in words. */
const pressed = (compressor: Compressor): string => {
  const { voiceIn } = compressor;
  const { averageDb, peakDb } = pressedTo(compressor);
  return (
    `Average ${figure(voiceIn.averageDb)} ${voiceIn.unit} in, ${figure(averageDb)} out; ` +
    `peaks ${figure(voiceIn.peakDb)} in, ${figure(peakDb)} out.`
  );
};

/** "3.0 dB over", "3.0 dB under" */
const beside = (db: number): string => `${figure(Math.abs(db))} dB ${db < 0 ? 'under' : 'over'}`;

const gateWords = ({ voiceIn, thresholdDb }: Processor): string =>
  `Quiet speech ${beside(voiceIn.quietestDb - thresholdDb)} the threshold` +
  (voiceIn.underneathDb === null
    ? '.'
    : `; noise, room and the loudest other voice ${beside(voiceIn.underneathDb - thresholdDb)} it.`);

const Amounts = ({
  analysis,
  stage,
  controls,
}: {
  readonly analysis: Analysis;
  readonly stage: Stage;
  readonly controls: readonly string[];
}) => {
  const { run } = useRigSession();
  const deviceId = stage.at.device.id;
  const device = analysis.device(stage.at.device);
  return (
    <Flex direction="column" gap="1.5" mt="1">
      {controls.map((id) => {
        const control = entry(device.model.controls, id);
        const value = device.settings[id] ?? control?.initial;
        return control?.type === 'amount' ? (
          <NumberField
            key={id}
            label={control.label}
            unit={control.unit}
            min={control.min}
            max={control.max}
            step={control.step}
            value={typeof value === 'number' ? value : null}
            onCommit={(next) =>
              next !== null && run({ type: 'setControl', deviceId, control: id, value: next })
            }
          />
        ) : null;
      })}
    </Flex>
  );
};

const controlsOf = (processor: Processor): string[] => {
  const sound =
    processor.stage.via.by === 'route' ? processor.stage.via.route.route.sound : undefined;
  if (processor.does === 'gate')
    return sound?.gate ? [sound.gate.thresholdControl, sound.gate.rangeControl] : [];
  return sound?.compressor
    ? [
        sound.compressor.thresholdControl,
        sound.compressor.ratioControl,
        sound.compressor.makeUpControl,
      ]
    : [];
};

/** Equalisers and de-essers on the way of one voice. */
const Shapings = ({
  analysis,
  deviceId,
}: {
  readonly analysis: Analysis;
  readonly deviceId: string;
}) => {
  const { run } = useRigSession();
  return shapings(analysis)
    .filter(({ voice }) => sourceOf(voice).at.device.id === deviceId)
    .map((shaping) => {
      const name = `${shaping.does === 'equalise' ? 'Equaliser' : 'De-esser'} of ${shaping.name}`;
      return (
        <Box
          key={`${shaping.deviceId} ${shaping.does} ${shaping.voice.index}`}
          mt="2"
          role="group"
          aria-label={name}
        >
          <Switched
            label={name}
            isOn={shaping.isIn}
            onTurn={(value) =>
              run({
                type: 'setControl',
                deviceId: shaping.deviceId,
                control: shaping.inSwitch,
                value,
              })
            }
          />
          <Text fontSize="sm">
            {shaping.does === 'de-ess'
              ? 'Takes its s sounds down; average and peaks stay as they are.'
              : `Peaks may come ${figure(shaping.liftDb)} dB higher where the voice lives in the lifted band.`}
          </Text>
          <Amounts analysis={analysis} stage={shaping.stage} controls={shaping.controls} />
        </Box>
      );
    });
};

/**
 * Gates, compressors, de-essers and equalisers on the way of one voice, each compressor with its
 * curve and the voice on it.
 */
export const Dynamics = ({
  analysis,
  deviceId,
}: {
  readonly analysis: Analysis;
  readonly deviceId: string;
}) => {
  const { run } = useRigSession();
  const own = processors(analysis).filter(({ voice }) => sourceOf(voice).at.device.id === deviceId);
  const isIn = own.filter(
    (processor): processor is Compressor => processor.does === 'compress' && processor.isIn,
  );
  return own.length === 0 ? null : (
    <Box mt="5">
      <Text as="h2" fontSize="lg" fontWeight="600">
        Processing
      </Text>
      {isIn.length > 1 && (
        <Text fontSize="sm">
          {isIn.length} compressors in a row: above both thresholds they press as{' '}
          {figure(ratioTogether(isIn.map(({ curve }) => curve.ratio)))} : 1.
        </Text>
      )}
      {own.map((processor) => (
        <Box
          key={`${processor.deviceId} ${processor.does} ${processor.voice.index}`}
          mt="2"
          role="group"
          aria-label={`${processor.does === 'gate' ? 'Gate' : 'Compressor'} of ${processor.name}`}
        >
          <Switched
            label={`${processor.does === 'gate' ? 'Gate' : 'Compressor'} of ${processor.name}`}
            isOn={processor.isIn}
            onTurn={(value) =>
              run({
                type: 'setControl',
                deviceId: processor.deviceId,
                control: processor.inSwitch,
                value,
              })
            }
          />
          {processor.does === 'compress' && (
            <CurveChart
              label={
                `Static curve of ${processor.name}: threshold ${figure(processor.curve.thresholdDb)} ` +
                `${processor.voiceIn.unit}, ${figure(processor.curve.ratio)} to 1; voice from ` +
                `${figure(processor.voiceIn.quietestDb)} by ${figure(processor.voiceIn.averageDb)} to ` +
                `peaks of ${figure(processor.voiceIn.peakDb)}`
              }
              unit={processor.voiceIn.unit}
              points={curvePoints(processor)}
              thresholdDb={processor.curve.thresholdDb}
              range={{
                fromDb: processor.voiceIn.quietestDb,
                averageDb: processor.voiceIn.averageDb,
                toDb: processor.voiceIn.peakDb,
              }}
            />
          )}
          <Text fontSize="sm">
            {processor.does === 'gate' ? gateWords(processor) : pressed(processor)}
            {!processor.isIn && ' It is out.'}
          </Text>
          <Amounts analysis={analysis} stage={processor.stage} controls={controlsOf(processor)} />
        </Box>
      ))}
      <Shapings analysis={analysis} deviceId={deviceId} />
    </Box>
  );
};
