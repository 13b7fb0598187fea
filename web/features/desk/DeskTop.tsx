'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, entry, figure, type Loaded, deviceNameById } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { PlainTable } from '@/ui/PlainTable';
import { NumberField } from '@/ui/NumberField';
import { SearchProgress } from '@/ui/Searching';
import { useSearch } from '@/workers/useSearch';
import { DeskDrawing } from './DeskDrawing';

interface Props {
  readonly analysis: Analysis;
  readonly desk: Loaded;
}

/** A desk with what stands on it, what that weighs and gives off, and the arranging of it. */
export const DeskTop = ({ analysis, desk }: Props) => {
  const { run } = useRigSession();
  const { id, support, loads, loadKg, heatW } = desk;
  const search = useSearch({
    analysis,
    ask: (tasks, onProgress) => tasks.arrange(id, onProgress),
  });
  const { figures } = support;
  if (figures.is !== 'desk') return null;
  const found = search.at.state === 'done' ? search.at.value : undefined;
  return (
    <Box as="section" aria-label={support.name}>
      <Flex justify="space-between" align="center" gap="2" mb="1" wrap="wrap">
        <Text as="h2" fontSize="lg" fontWeight="600">
          {support.name}
        </Text>
        <Button
          size="sm"
          variant="outline"
          disabled={loads.length === 0 || !support.at || search.at.state === 'working'}
          onClick={() => search.start(support.name)}
        >
          Arrange it for me
        </Button>
      </Flex>
      <Text fontSize="sm" color="ink.soft">
        {`${figure(figures.widthM, 2)} × ${figure(figures.depthM, 2)} m, carries ${figure(loadKg, 1)} ` +
          `of ${figure(figures.bearsKg, 0)} kg, ${figure(heatW, 0)} W of heat.`}
      </Text>
      <SearchProgress at={search.at} label="Trying every place" onCancel={search.cancel} />
      {found === null && (
        <Text role="status" fontSize="sm" my="1">
          There is no room for all of it on this desk, or nothing on it that may be moved. Take
          something off.
        </Text>
      )}
      {found && (
        <Flex role="status" gap="3" align="center" my="1" wrap="wrap">
          <Text fontSize="sm" flex="1">
            {found.says}
          </Text>
          {found.commands.length > 0 && (
            <Button
              size="sm"
              onClick={() =>
                run({
                  type: 'batch',
                  label: `Arranged ${support.name}.`,
                  commands: [...found.commands],
                })
              }
            >
              Put it so
            </Button>
          )}
        </Flex>
      )}
      <DeskDrawing analysis={analysis} desk={desk} />
      {figures.lowestM < figures.highestM && (
        <Box maxW="380px" mt="2">
          <NumberField
            label={`Top of ${support.name}`}
            hint={` from ${figures.lowestM} to ${figures.highestM} m`}
            unit="m"
            step={0.01}
            min={figures.lowestM}
            max={figures.highestM}
            value={figures.topM}
            onCommit={(topM) =>
              topM !== null &&
              run({
                type: 'changeSupport',
                supportId: id,
                support: { figures: { ...figures, topM } },
              })
            }
          />
        </Box>
      )}
      <Box mt="2">
        <PlainTable
          label={`What stands on ${support.name}`}
          headings={['', 'To the right', 'Away', 'Weighs']}
          lines={loads.map(({ deviceId, massKg }) => {
            const on = entry(analysis.rig.devices, deviceId)?.on;
            return {
              id: deviceId,
              head: deviceNameById(analysis, deviceId),
              cells: [
                `${figure(on?.xM ?? 0, 2)} m`,
                `${figure(on?.yM ?? 0, 2)} m`,
                `${figure(massKg, 2)} kg`,
              ],
            };
          })}
        />
      </Box>
    </Box>
  );
};
