'use client';

import { Explained } from '@/features/words/Explained';
import { Box, Table, Text } from '@chakra-ui/react';
import { figure, levelTarget, peakCeilingDbfs, type Analysis } from '@echo-loom/core';
import { LevelMark } from '@/ui/LevelMark';
import { decibels, type VoiceRow } from './rows';

interface Props {
  readonly analysis: Analysis;
  readonly rows: readonly VoiceRow[];
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}

/** Whether a voice is set well: level near, headroom kept, ratio enough. */
const levelOf = (
  { neededDb, headroomDb, snrDb }: VoiceRow,
  analysis: Analysis,
): 'stop' | 'warn' | 'well' => {
  const { houseRules } = analysis.rig;
  if (headroomDb !== null && headroomDb < 0) return 'stop';
  if (
    neededDb === null ||
    Math.abs(neededDb) > 3 ||
    (headroomDb !== null && headroomDb < houseRules.headroomDb) ||
    (snrDb !== null && snrDb < houseRules.minimumSnrDb)
  )
    return 'warn';
  return 'well';
};

/** All voices at their converters: target, needed, set, spare, peak margin, signal to noise, limiting stage. */
export const VoiceTable = ({ analysis, rows, chosen, onChoose }: Props) => (
  <Box overflowX="auto">
    <Table.Root size="sm" variant="outline" aria-label="Voices at their converters">
      <Table.Header>
        <Table.Row bg="paper.deep">
          {['Voice', 'Level', 'Change needed', 'Set', 'Spare', 'Headroom', 'Signal to noise'].map(
            (heading) => (
              <Table.ColumnHeader key={heading} px="1.5">
                <Explained text={heading} />
              </Table.ColumnHeader>
            ),
          )}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {rows.map((row) => (
          <Table.Row
            key={row.id}
            bg={row.id === chosen ? 'madder.wash' : 'transparent'}
            data-voice={row.id}
          >
            <Table.Cell p="0">
              <Box
                asChild
                p="1.5"
                minH="10"
                width="100%"
                textAlign="start"
                cursor="pointer"
                display="block"
              >
                <button
                  type="button"
                  aria-pressed={row.id === chosen}
                  onClick={() => onChoose(row.id)}
                >
                  <Text
                    as="span"
                    display="flex"
                    gap="1.5"
                    alignItems="center"
                    fontWeight="600"
                    fontSize="sm"
                    lineHeight="1.2"
                  >
                    <LevelMark level={levelOf(row, analysis)} size={12} />
                    {row.name}
                  </Text>
                  <Text as="span" display="block" fontSize="xs" color="ink.soft">
                    {row.person}, into {row.converter}
                  </Text>
                </button>
              </Box>
            </Table.Cell>
            <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
              {decibels(row.levelDbfs, 'dBFS')}
            </Table.Cell>
            <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
              {row.neededDb === null
                ? 'not known'
                : `${row.neededDb > 0 ? '+' : ''}${figure(row.neededDb)} dB`}
            </Table.Cell>
            <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
              {decibels(row.setDb)}
            </Table.Cell>
            <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
              {decibels(row.spareDb)}
            </Table.Cell>
            <Table.Cell px="1.5" className="figures" fontSize="0.75rem">
              {decibels(row.headroomDb)}
              <Text as="span" display="block" fontFamily="body" fontSize="xs" color="ink.soft">
                {row.limiting}
              </Text>
            </Table.Cell>
            <Table.Cell px="1.5" className="figures" fontSize="0.75rem" whiteSpace="nowrap">
              {row.isAtBest && 'at best '}
              {decibels(row.snrDb)}
              {row.overRoomDb !== null && (
                <Text as="span" display="block" fontFamily="body" fontSize="xs" color="ink.soft">
                  room {decibels(row.overRoomDb)}
                </Text>
              )}
            </Table.Cell>
          </Table.Row>
        ))}
      </Table.Body>
    </Table.Root>
    <Text fontSize="xs" color="ink.soft" mt="1">
      House level {figure(levelTarget(analysis.rig.houseRules).averageDbfs, 0)} dBFS average, peaks
      under {figure(peakCeilingDbfs(analysis.rig.houseRules), 0)}, so that a voice of a large crest
      is set lower; at least {figure(analysis.rig.houseRules.headroomDb, 0)} dB of headroom
      everywhere and {figure(analysis.rig.houseRules.minimumSnrDb, 0)} dB signal to noise,
      unweighted. What stands under it, “room”, is the voice over the room: no gain changes it.
    </Text>
  </Box>
);
