'use client';

import { FindingCard } from '@/features/findings/FindingCard';
import { decibels } from '@/features/gain/rows';
import { PlainTable } from '@/ui/PlainTable';
import { Box, Flex, Text } from '@chakra-ui/react';
import { type Analysis, FARTHER_M, figure, patternDb, type PickedUp } from '@echo-loom/core';
import dynamic from 'next/dynamic';
import { memo } from 'react';
import { Aiming } from './Aiming';
import { findingsOfRoom, type MicrophoneRow, noiseRows, patternRows } from './rows';

const PolarChart = dynamic(() => import('@/ui/PolarChart').then((module) => module.PolarChart), {
  ssr: false,
});

interface Props {
  readonly analysis: Analysis;
  readonly row: MicrophoneRow;
}

const degrees = (deg: number): string => `${figure(Math.abs(deg), 0)}°`;

const heardWords = ({ name, angleDeg, spl }: PickedUp): string =>
  `${name} ${degrees(angleDeg)} off its axis, ${figure(spl)} dB`;

/** What each noise does at one microphone, and what would change. */
const WhatIf = ({ analysis, row: { microphone, name } }: Props) => {
  const noises = noiseRows(analysis, microphone);
  return (
    <>
      {noises.length > 0 && (
        <Box mt="3">
          <Text as="h3" fontWeight="600" mb="1">
            Noises at {name}
          </Text>
          <PlainTable
            label={`Noises at ${name}`}
            headings={[
              'Noise',
              'Away',
              'Off axis',
              'At the capsule',
              'Straight',
              'By the walls',
              `${FARTHER_M} m farther`,
            ]}
            lines={noises.map(({ noise, fartherSpl }) => ({
              id: noise.id,
              head: noise.name,
              cells: [
                `${figure(noise.distanceM, 2)} m`,
                degrees(noise.angleDeg),
                decibels(noise.spl, 'dB(A)'),
                figure(noise.directSpl),
                noise.echoSpl === null ? '?' : figure(noise.echoSpl),
                decibels(fartherSpl, 'dB(A)'),
              ],
            }))}
            note={
              'What comes by the walls is the same everywhere: where it is the greater part, moving ' +
              'the noise does little, and quieting the room or the noise does more.'
            }
          />
        </Box>
      )}
      <Box mt="3">
        <Text as="h3" fontWeight="600" mb="1">
          {name} with another pattern
        </Text>
        <PlainTable
          label={`${name} with another pattern`}
          headings={['Pattern', 'Over the room', 'Over its echo', 'Loudest other voice']}
          lines={patternRows(analysis, microphone).map(
            ({ pattern, isPresent, overRoomDb, worstDb, directToReverberantDb }) => ({
              id: pattern,
              isMarked: isPresent,
              head: `${pattern}${isPresent ? ', as it is' : ''}`,
              cells: [
                decibels(overRoomDb),
                decibels(directToReverberantDb),
                worstDb === null ? 'none known' : `${figure(worstDb)} dB`,
              ],
            }),
          )}
        />
      </Box>
    </>
  );
};

/** So many noises have a place round the plot; what is quieter is in the sums. */
const MOST_NOISES = 2;
const loudest = (noises: readonly PickedUp[]): readonly PickedUp[] =>
  [...noises].sort((a, b) => b.spl - a.spl).slice(0, MOST_NOISES);

/** From which sides one microphone hears, who and what stands there, and what is wrong with it. */
const Around = memo(({ analysis, row }: Props) => {
  const { microphone, name, person, id } = row;
  const { pattern, bleed, noises, returned, ownSpl, roomSpl } = microphone;
  const findings = findingsOfRoom(analysis, id);
  return (
    <>
      {pattern === null ? (
        <Text fontSize="sm">
          Its pattern is not known. Put a class of the catalogue in its place, or a model of your
          own with a pattern.
        </Text>
      ) : (
        <PolarChart
          label={
            `${name} hears as a ${pattern}: ` +
            ([...bleed, ...noises, ...returned].map(heardWords).join('; ') ||
              'nothing else has a place')
          }
          gainAt={(deg) => patternDb(pattern, deg)}
          points={[
            { name: person, angleDeg: microphone.offAxisDeg, mark: 'own voice' },
            ...bleed.map((sound) => ({
              name: sound.name,
              angleDeg: sound.angleDeg,
              mark: 'voice' as const,
            })),
            ...loudest(noises).map((sound) => ({
              name: sound.name,
              angleDeg: sound.angleDeg,
              mark: 'noise' as const,
            })),
            ...returned.map((sound) => ({
              name: sound.name,
              angleDeg: sound.angleDeg,
              mark: 'loudspeaker' as const,
            })),
          ]}
        />
      )}
      <Text fontSize="xs" color="ink.soft" aria-hidden>
        ✳ own voice ● other voices ■ noises ▲ loudspeakers; rings in dB
      </Text>
      <Text fontSize="sm" mt="1">
        Voice {decibels(ownSpl, 'dB SPL')}, room {decibels(roomSpl, 'dB(A)')}
        {microphone.criticalDistanceM !== null &&
          `, echo as loud as the voice at ${figure(microphone.criticalDistanceM, 2)} m`}
      </Text>
      {findings.length > 0 && (
        <Flex direction="column" gap="2.5" mt="2">
          {findings.map((finding) => (
            <FindingCard key={finding.code} analysis={analysis} finding={finding} />
          ))}
        </Flex>
      )}
    </>
  );
});

Around.displayName = 'Around';

const WhatIfLater = memo(WhatIf);

/**
 * One microphone: what is around it, how it stands to its mouth, and what would change. @param now
 * the same microphone after the latest edit, for its fields
 */
export const MicrophonePanel = ({
  analysis,
  row,
  now,
}: Props & { readonly now: MicrophoneRow }) => (
  <Box role="region" aria-label={`${row.name} in the room`}>
    <Text as="h2" fontSize="lg" fontWeight="600">
      {row.name}
    </Text>
    <Around analysis={analysis} row={row} />
    <Aiming row={now} />
    <WhatIfLater analysis={analysis} row={row} />
  </Box>
);
