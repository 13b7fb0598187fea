'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  figure,
  type GainAnswer,
  type GainProposal,
  type KnobOnWay,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';

const settingText = ({ kind, label }: KnobOnWay, valueDb: number): string =>
  kind === 'pad'
    ? `${label}: ${valueDb < 0 ? 'in' : 'out'}`
    : `${label}: ${figure(valueDb, valueDb % 1 === 0 ? 0 : 1)} dB`;

const headroomKept = (keepHeadroom: number, meetLevel: number): string => {
  if (keepHeadroom === 0) return 'None keeps the headroom everywhere; this one comes nearest.';
  const kept = `${keepHeadroom.toLocaleString('en')} keep the headroom everywhere`;
  return meetLevel === 0
    ? `${kept}, none of them meets the level; this one comes nearest.`
    : `${kept}, ${meetLevel.toLocaleString('en')} of them meet the level; none has a better ` +
        'signal-to-noise ratio than this one.';
};

/** A stage by its device and socket. */
const placeName = (analysis: Analysis, index: number): string => {
  const at = analysis.traced.stages[index]?.at;
  return at ? `${analysis.device(at.device).name}, ${at.port.name}` : 'A stage';
};

/** How it is known that nothing better exists. */
const proof = (
  analysis: Analysis,
  { tried, keepHeadroom, meetLevel, limitingStage, after, left }: GainProposal,
): string =>
  `All ${tried.toLocaleString('en')} settings were tried. ` +
  `${headroomKept(keepHeadroom, meetLevel)} ` +
  `${placeName(analysis, limitingStage)} limits it.` +
  (after.lastTenths > 0
    ? ' A gain stands in the last tenth of its range, since no other stage can give it.'
    : '') +
  (left.length > 0
    ? ` ${left.map(({ label }) => label).join(' and ')} stayed as they are: with them there are ` +
      'too many combinations to try.'
    : '');

interface Props {
  readonly analysis: Analysis;
  readonly answer: GainAnswer;
  /** Whose gains they are */
  readonly name: string;
  readonly onDone: () => void;
}

/**
 * What "set it for me" found for one voice: the settings, what they give, and why nothing is
 * better. Nothing is set until it is wanted.
 */
export const Proposal = ({ analysis, answer, name, onDone }: Props) => {
  const { run } = useRigSession();
  if (!answer.can)
    return (
      <Box role="status" bg="madder.wash" borderLeftWidth="3px" borderColor="madder" p="2.5" mt="2">
        <Text fontSize="sm">{answer.why}</Text>
      </Box>
    );
  const { proposal } = answer;
  const { before, after, knobs, settingsDb, commands } = proposal;
  return (
    <Box role="status" bg="madder.wash" borderLeftWidth="3px" borderColor="madder" p="2.5" mt="2">
      {knobs.map((knob, index) => {
        const value = settingsDb[index] ?? knob.valueDb;
        return (
          <Text
            key={`${knob.deviceId} ${knob.control}`}
            fontSize="sm"
            fontWeight={value === knob.valueDb ? '400' : '600'}
          >
            {settingText(knob, value)}
            {value === knob.valueDb ? ', as it is' : ''}
          </Text>
        );
      })}
      <Text fontSize="sm" mt="1.5" className="figures">
        Signal to noise {figure(before.snrDb)} → {figure(after.snrDb)} dB; headroom{' '}
        {after.shortDb > 0 ? `${figure(after.shortDb)} dB short` : 'kept'}; level{' '}
        {after.missDb > 0 ? `${figure(after.missDb + 0.5)} dB off` : 'met'}.
      </Text>
      <Text fontSize="xs" mt="1">
        {proof(analysis, proposal)}
      </Text>
      <Flex gap="2" mt="2">
        {commands.length > 0 ? (
          <Button
            size="sm"
            bg="madder"
            color="madder.ink"
            onClick={() => {
              if (
                run({
                  type: 'batch',
                  label: `Set the gains of ${name} as found best`,
                  commands: [...commands],
                })
              )
                onDone();
            }}
          >
            Set it so
          </Button>
        ) : (
          <Text fontSize="sm">It stands as well as it can already.</Text>
        )}
        <Button size="sm" variant="outline" onClick={onDone}>
          Leave it
        </Button>
      </Flex>
    </Box>
  );
};
