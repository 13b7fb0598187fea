'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  entry,
  figure,
  inRack,
  type Loaded,
  RACK_UNIT_M,
  deviceNameById,
} from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';

const UNIT_PX = 22;
const WIDTH_PX = 300;
const LEFT_PX = 34;

/** A rack from the front, unit by unit, with what it weighs and gives off. */
export const RackFront = ({
  analysis,
  rack,
}: {
  readonly analysis: Analysis;
  readonly rack: Loaded;
}) => {
  const { run } = useRigSession();
  const { figures, name } = rack.support;
  if (figures.is !== 'rack') return null;
  const things = inRack(analysis, rack);
  const inside =
    things
      .map((thing) => `${deviceNameById(analysis, thing.deviceId)} in unit ${thing.from}`)
      .join(', ') || 'empty';
  const heightPx = figures.units * UNIT_PX + 12;
  const y = (unit: number): number => heightPx - 6 - unit * UNIT_PX;
  return (
    <Box as="section" aria-label={name}>
      <Text as="h2" fontSize="lg" fontWeight="600">
        {name}
      </Text>
      <Text fontSize="sm" color="ink.soft" mb="1">
        {`${figures.units} units, ${figure(rack.loadKg, 1)} of ${figure(figures.bearsKg, 0)} kg, ` +
          `${figure(rack.heatW, 0)} W of heat.`}
      </Text>
      <Box
        asChild
        width="100%"
        maxW={`${WIDTH_PX}px`}
        css={{
          '& text': { fontSize: '11px', fill: 'var(--chakra-colors-ink)' },
          '& .frame': { fill: 'none', stroke: 'var(--chakra-colors-ink)', strokeWidth: 1.5 },
          '& .unit': { stroke: 'var(--chakra-colors-rule)', strokeWidth: 1 },
          '& .panel': {
            fill: 'var(--chakra-colors-paper-card)',
            fillOpacity: 0.8,
            stroke: 'var(--chakra-colors-ink)',
          },
        }}
      >
        <svg
          viewBox={`0 0 ${WIDTH_PX} ${heightPx}`}
          role="img"
          aria-label={`${name} from the front: ${inside}`}
        >
          {Array.from({ length: figures.units }, (_, index) => (
            <g key={index}>
              <line className="unit" x1={LEFT_PX} x2={WIDTH_PX - 2} y1={y(index)} y2={y(index)} />
              <text x={LEFT_PX - 6} y={y(index) - 6} textAnchor="end">
                {index + 1}
              </text>
            </g>
          ))}
          <rect
            className="frame"
            x={LEFT_PX}
            y={y(figures.units)}
            width={WIDTH_PX - 2 - LEFT_PX}
            height={figures.units * UNIT_PX}
          />
          {things.map(({ deviceId, from, units }) => (
            <g key={deviceId}>
              <rect
                className="panel"
                x={LEFT_PX + 4}
                y={y(from - 1 + units) + 2}
                width={WIDTH_PX - 10 - LEFT_PX}
                height={units * UNIT_PX - 4}
              />
              <text x={LEFT_PX + 12} y={y(from - 1 + units / 2) + 4}>
                {deviceNameById(analysis, deviceId)}
              </text>
            </g>
          ))}
        </svg>
      </Box>
      <Flex direction="column" gap="1" mt="2" maxW="380px">
        {things.map(({ deviceId, from, units }) => (
          <NumberField
            key={deviceId}
            label={`Lowest unit of ${deviceNameById(analysis, deviceId)}`}
            unit="U"
            step={1}
            isWhole
            min={1}
            max={Math.max(1, figures.units - units + 1)}
            value={from}
            onCommit={(unit) => {
              const on = entry(analysis.rig.devices, deviceId)?.on;
              if (unit !== null && on)
                run({
                  type: 'standDevice',
                  deviceId,
                  on: { ...on, upM: Number(((unit - 1) * RACK_UNIT_M).toFixed(5)) },
                });
            }}
          />
        ))}
      </Flex>
    </Box>
  );
};
