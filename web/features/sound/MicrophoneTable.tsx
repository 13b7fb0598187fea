'use client';

import { Box, Text } from '@chakra-ui/react';
import { figure, THREE_TO_ONE_DB, totalBleedDb, type Analysis } from '@echo-loom/core';
import { LevelMark } from '@/ui/LevelMark';
import { PlainTable } from '@/ui/PlainTable';
import { decibels } from '@/features/gain/rows';
import { bleedMatrix, type MicrophoneRow } from './rows';

interface Props {
  readonly analysis: Analysis;
  readonly rows: readonly MicrophoneRow[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
}

/**
 * Every microphone: how far its voice stands over the room, over its echo, over the others, and
 * over what loudspeakers send back.
 */
export const MicrophoneTable = ({ analysis, rows, chosen, onChoose }: Props) => (
  <PlainTable
    label="Microphones in the room"
    headings={[
      'Microphone',
      'From the mouth',
      'Over the room',
      'Over its echo',
      'Loudest other voice',
      'Back from loudspeakers',
    ]}
    lines={rows.map(({ id, name, person, level, microphone, worst, loopDb }) => ({
      id,
      isMarked: id === chosen,
      head: (
        <Box asChild minH="8" width="100%" textAlign="start" cursor="pointer" display="block">
          <button type="button" aria-pressed={id === chosen} onClick={() => onChoose(id)}>
            <Text as="span" display="flex" gap="1.5" alignItems="center">
              <LevelMark level={level} size={12} />
              {name}
            </Text>
            <Text as="span" display="block" fontWeight="400" fontSize="xs" color="ink.soft">
              {person}, {microphone.pattern ?? 'pattern not known'}
            </Text>
          </button>
        </Box>
      ),
      cells: [
        microphone.distanceM === null ? (
          'not known'
        ) : (
          <>
            {figure(microphone.distanceM * 100, 0)} cm
            {microphone.proximityDb !== null && microphone.proximityDb >= 0.1 && (
              <Text as="span" display="block" fontFamily="body" fontSize="xs" color="ink.soft">
                bass +{figure(microphone.proximityDb)} dB
              </Text>
            )}
          </>
        ),
        decibels(microphone.overRoomDb),
        decibels(microphone.directToReverberantDb),
        worst ? (
          <>
            {figure(worst.db)} dB
            <Text as="span" display="block" fontFamily="body" fontSize="xs" color="ink.soft">
              {worst.other.name}
              {worst.other.echoSpl !== null &&
                `, ${decibels(totalBleedDb(microphone, worst.other))} with the walls`}
            </Text>
          </>
        ) : (
          'none known'
        ),
        loopDb === null ? 'none' : `${figure(loopDb)} dB`,
      ],
    }))}
    note={
      `House rule: at least ${figure(analysis.rig.houseRules.voiceOverRoomDb, 0)} dB over ` +
      `the room. Other voices at least ${figure(THREE_TO_ONE_DB)} dB under, loudspeakers at ` +
      'least 6. No gain changes any of these. Bass: how much more 100 Hz is heard from near.'
    }
  />
);

/** What each microphone hears of each talker, under its own voice. */
export const BleedMatrix = ({ analysis, rows }: Pick<Props, 'analysis' | 'rows'>) => {
  const { talkers, lines } = bleedMatrix(analysis, rows);
  // Before anybody has a place there is nothing to read.
  return talkers.length < 2 ||
    lines.every(({ at }) => at.every((db) => typeof db !== 'number')) ? null : (
    <Box mb="5">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Who is heard where
      </Text>
      <PlainTable
        label="Bleed"
        headings={['At the microphone', ...talkers.map(({ name }) => name)]}
        lines={lines.map(({ id, name, at }) => ({
          id,
          head: name,
          cells: at.map((db) =>
            db === 'own' ? (
              'own'
            ) : db === null ? (
              '?'
            ) : db > -THREE_TO_ONE_DB ? (
              <Text as="span" key="bleed" color="level.warn" fontWeight="700">
                {figure(db)} ◆
              </Text>
            ) : (
              figure(db)
            ),
          ),
        }))}
        note={
          'Decibels under the microphone’s own voice, straight from mouth to capsule. ◆ breaks ' +
          `the 3:1 rule of ${figure(-THREE_TO_ONE_DB)} dB.`
        }
      />
    </Box>
  );
};
