'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import {
  choiceSetting,
  entry,
  FARTHER_M,
  figure,
  numberSetting,
  patternDb,
  STRAIGHT,
  type Aim,
  type Analysis,
  type PickedUp,
} from '@echo-loom/core';
import dynamic from 'next/dynamic';
import { memo } from 'react';
import { FindingCard } from '@/features/findings/FindingCard';
import { decibels } from '@/features/gain/rows';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';
import { findingsOfRoom, noiseRows, patternRows, type MicrophoneRow } from './rows';

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

/** Distance, pattern and aim of one microphone, each an edit. */
const Aiming = ({ row: { microphone, id } }: Pick<Props, 'row'>) => {
  const { run } = useRigSession();
  const { device } = microphone.node.device;
  const source = microphone.node.port.emits?.sound;
  if (source?.type !== 'microphone') return null;
  const distance = entry(device.model.controls, source.distanceControl);
  const patternControl = typeof source.pattern === 'object' ? source.pattern.control : null;
  const patterns =
    patternControl === null ? undefined : entry(device.model.controls, patternControl);
  const aim = device.aim ?? STRAIGHT;
  const turn = (changes: Partial<Aim>) =>
    run({ type: 'placeDevice', deviceId: id, at: device.at, aim: { ...aim, ...changes } });
  return (
    <Flex direction="column" gap="1.5" mt="2">
      {distance?.type === 'amount' && (
        <NumberField
          label="From the mouth"
          unit={distance.unit}
          min={distance.min}
          max={distance.max}
          step={distance.step}
          value={numberSetting(device, source.distanceControl) ?? null}
          onCommit={(value) =>
            value !== null &&
            run({ type: 'setControl', deviceId: id, control: source.distanceControl, value })
          }
        />
      )}
      {patternControl !== null && patterns?.type === 'choice' && (
        <ChoiceField
          label="Pattern"
          value={choiceSetting(device, patternControl) ?? ''}
          options={patterns.options}
          onChoose={(value) =>
            run({ type: 'setControl', deviceId: id, control: patternControl, value })
          }
        />
      )}
      {device.at === null && (
        <>
          <NumberField
            label="Beside straight ahead"
            hint=" clockwise, seen from above"
            unit="°"
            min={-180}
            max={180}
            step={5}
            value={aim.bearingDeg}
            onCommit={(value) => value !== null && turn({ bearingDeg: value })}
          />
          <NumberField
            label="Points past the mouth"
            unit="°"
            min={-180}
            max={180}
            step={5}
            value={aim.offAxisDeg}
            onCommit={(value) => value !== null && turn({ offAxisDeg: value })}
          />
        </>
      )}
    </Flex>
  );
};

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
            ...noises.map((sound) => ({
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
