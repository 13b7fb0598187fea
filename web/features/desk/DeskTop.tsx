'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, deskThings, entry, figure, type Loaded } from '@echo-loom/core';
import { useMemo } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { PlainTable } from '@/ui/PlainTable';
import { NumberField } from '@/ui/NumberField';
import { SearchProgress } from '@/ui/Searching';
import { useSearch } from '@/workers/useSearch';

const WIDTH_PX = 560;
const MARGIN_PX = 40;

interface Props {
  readonly analysis: Analysis;
  readonly desk: Loaded;
}

/** One desk from above, as who sits at it sees it: the front is below. */
const Drawing = ({ analysis, desk }: Props) => {
  const { figures } = desk.support;
  const of = useMemo(() => deskThings(analysis, desk.id), [analysis, desk.id]);
  if (figures.is !== 'desk') return null;
  const scale = (WIDTH_PX - 2 * MARGIN_PX) / Math.max(figures.widthM, figures.depthM * 1.8);
  const heightPx = figures.depthM * scale + 2 * MARGIN_PX + 24;
  const [middleX, middleY] = [WIDTH_PX / 2, MARGIN_PX + (figures.depthM * scale) / 2];
  const x = (xM: number): number => middleX + xM * scale;
  const y = (yM: number): number => middleY - yM * scale;
  return (
    <Box
      asChild
      width="100%"
      borderWidth="1px"
      borderColor="rule"
      bg="paper.card"
      css={{
        '& text': { fontSize: '11px', fill: 'var(--chakra-colors-ink)' },
        '& .top': {
          fill: 'var(--chakra-colors-paper-deep)',
          stroke: 'var(--chakra-colors-ink)',
          strokeWidth: 1.5,
        },
        '& .thing': { fill: 'var(--chakra-colors-paper-card)', stroke: 'var(--chakra-colors-ink)' },
        '& .seat': { fill: 'none', stroke: 'var(--chakra-colors-ink)', strokeWidth: 2 },
        '& .reach': {
          fill: 'none',
          stroke: 'var(--chakra-colors-ink-soft)',
          strokeDasharray: '3 4',
        },
        '& .hears': {
          fill: 'none',
          stroke: 'var(--chakra-colors-thread-analogue)',
          strokeWidth: 1.5,
        },
      }}
    >
      <svg
        viewBox={`0 0 ${WIDTH_PX} ${heightPx}`}
        role="img"
        aria-label={`${desk.support.name} from above: ${of.things.map(({ name }) => name).join(', ') || 'empty'}`}
      >
        <rect
          className="top"
          x={x(-figures.widthM / 2)}
          y={y(figures.depthM / 2)}
          width={figures.widthM * scale}
          height={figures.depthM * scale}
        />
        {of.seats.map(({ name, at }) => (
          <g key={name}>
            <circle className="reach" cx={x(at.xM)} cy={y(at.yM)} r={0.5 * scale} />
            <circle className="reach" cx={x(at.xM)} cy={y(at.yM)} r={0.7 * scale} />
            <circle className="seat" cx={x(at.xM)} cy={y(at.yM)} r="8" />
            <text x={x(at.xM) + 12} y={y(at.yM) + 4}>
              {name}
            </text>
          </g>
        ))}
        {of.things.map(({ id, name, corners, middle }) => (
          <g key={id}>
            <polygon
              className="thing"
              points={corners.map(({ xM, yM }) => `${x(xM)},${y(yM)}`).join(' ')}
            />
            <text x={x(middle.xM)} y={y(middle.yM) + 4} textAnchor="middle">
              {name}
            </text>
          </g>
        ))}
        {of.microphones.map((at, index) => (
          <circle key={index} className="hears" cx={x(at.xM)} cy={y(at.yM)} r="4" />
        ))}
      </svg>
    </Box>
  );
};

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
      <Drawing analysis={analysis} desk={desk} />
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
          lines={loads.map(({ deviceId, name, massKg }) => {
            const on = entry(analysis.rig.devices, deviceId)?.on;
            return {
              id: deviceId,
              head: name,
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
