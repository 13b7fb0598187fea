'use client';

import { Box, Table, Text } from '@chakra-ui/react';
import {
  type Analysis,
  entry,
  freeId,
  heldNow,
  inOrder,
  type Meeting,
  type Pair,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { NumberField } from '@/ui/NumberField';
import { today } from '@/ui/today';
import { WIDE } from '@/ui/wide';
import { allNames, framesText, msText, type Turned, turnedBy, whoText } from './offsets';
import { TimeLine } from './TimeLine';

/** How far off a clap by eye and ear is, unless somebody says otherwise. @unit ms */
const CLAP_SPREAD_MS = 5;

/** Where a figure comes from, or what is not known of it. */
const howText = ({ rig }: Analysis, { measured, stale, unknown }: Pair): string => {
  if (measured) return measured.on === null ? 'measured' : `measured ${measured.on}`;
  const names = unknown.map(({ deviceId }) => entry(rig.devices, deviceId)?.name ?? deviceId);
  const why =
    names.length > 0 ? `not known: ${[...new Set(names)].join(', ')}` : 'by typical figures';
  return stale ? `${why}; a measurement no longer holds` : why;
};

interface RowProps {
  readonly analysis: Analysis;
  readonly meeting: Meeting;
  readonly pair: Pair;
  readonly turned: Turned;
}

const PairRow = ({ analysis, meeting, pair, turned }: RowProps) => {
  const { run } = useRigSession();
  const { rig } = analysis;
  const { sound, picture, offsetMs, measured } = pair;
  const by = turnedBy(pair, turned);
  const { earlyMs, lateMs } = rig.timeRules;
  const now = offsetMs === null ? null : offsetMs + by;
  const isOut = now !== null && (now < -earlyMs || now > lateMs);
  const [soundId = '', pictureId = ''] = [sound.sourceIds[0], picture.sourceIds[0]];
  const soundText = whoText(analysis, sound, meeting.sounds);
  const pictureText = whoText(analysis, picture, meeting.pictures);
  const names = `${soundText} and ${pictureText}`;
  const measure = (value: number | null) => {
    const [known] = inOrder(rig.offsets).find(([, offset]) => offset === measured) ?? [];
    if (value === null) {
      if (known !== undefined) run({ type: 'removeOffset', offsetId: known });
      return;
    }
    const figures = {
      offsetMs: value,
      ...heldNow(analysis, pair),
      on: today(),
    };
    run(
      known === undefined
        ? {
            type: 'addOffset',
            offsetId: freeId('offset', rig.offsets),
            offset: {
              ...figures,
              soundId,
              pictureId,
              placeId: pair.placeId,
              spreadMs: CLAP_SPREAD_MS,
              file: null,
            },
          }
        : { type: 'changeOffset', offsetId: known, offset: figures },
    );
  };
  return (
    <Table.Row bg={isOut ? 'madder.wash' : 'transparent'} data-pair={`${soundId} ${pictureId}`}>
      <Table.Cell {...cell} title={allNames(analysis, sound)}>
        {soundText}
      </Table.Cell>
      <Table.Cell {...cell} title={allNames(analysis, picture)}>
        {pictureText}
      </Table.Cell>
      <Table.Cell {...cell} fontFamily="mono" fontWeight={isOut ? '700' : '400'}>
        {now === null ? (
          'not known'
        ) : (
          <>
            <Box as="span" whiteSpace="nowrap">
              {msText(now)} ms
            </Box>{' '}
            <Box as="span" whiteSpace="nowrap" fontSize="xs">
              {framesText(now, picture.frameMs)}
            </Box>
          </>
        )}
      </Table.Cell>
      <Table.Cell {...cell} fontFamily="mono" fontSize="xs">
        {now === null ? '' : `${msText(pair.leastMs + by)} … ${msText(pair.mostMs + by)}`}
      </Table.Cell>
      <Table.Cell {...cell} fontSize="xs">
        {howText(analysis, pair)}
      </Table.Cell>
      <Table.Cell {...cell} className="screen-only">
        <NumberField
          inCell
          mayBeUnknown
          whenEmpty="none"
          label={`Measured, ${names}`}
          unit="ms"
          step={1}
          min={-10_000}
          max={10_000}
          value={measured ? Number((offsetMs ?? 0).toFixed(2)) : null}
          onCommit={measure}
        />
      </Table.Cell>
    </Table.Row>
  );
};

/** One place where sound and picture meet: the time line, and how far apart they are. */
export const Place = ({
  analysis,
  meeting,
  turned,
}: {
  readonly analysis: Analysis;
  readonly meeting: Meeting;
  readonly turned: Turned;
}) => {
  const name = entry(analysis.rig.devices, meeting.placeId)?.name ?? meeting.placeId;
  return (
    <Box as="section" aria-label={`At ${name}`}>
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        {name}
      </Text>
      <TimeLine analysis={analysis} meeting={meeting} turned={turned} name={name} />
      <Box {...WIDE} mt="1">
        <Table.Root size="sm" variant="outline" aria-label={`Sound and picture at ${name}`}>
          {head(['Sound', 'Picture', 'Sound is', 'Anywhere from', 'How', 'As measured'])}
          <Table.Body>
            {meeting.pairs.map((pair, index) => (
              <PairRow
                key={index}
                analysis={analysis}
                meeting={meeting}
                pair={pair}
                turned={turned}
              />
            ))}
          </Table.Body>
        </Table.Root>
      </Box>
    </Box>
  );
};
