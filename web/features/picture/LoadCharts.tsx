'use client';

import { Box, Text } from '@chakra-ui/react';
import { figure, type Analysis } from '@echo-loom/core';
import dynamic from 'next/dynamic';
import type { BarLine } from '@/ui/Bars';
import { bitsOf, loadsOf, loadText } from './loads';

const Bars = dynamic(() => import('@/ui/Bars').then((module) => module.Bars), { ssr: false });

/** Bars longer than this are cut; their text says how much it is. @unit % */
const MOST_PERCENT = 150;
const THIN_BITS = 0.05;
const TOO_THIN_BITS = 0.03;
const MOST_BITS = 0.15;

/** What is loaded how far, and what is left of each delivered pixel: charts where they decide something. */
export const LoadCharts = ({ analysis }: { readonly analysis: Analysis }) => {
  const loads = loadsOf(analysis);
  const bits = bitsOf(analysis);
  const share = analysis.rig.houseRules.uplinkShare * 100;
  const loadLines = loads.map((load): BarLine => {
    const percent = (100 * load.load) / load.limit;
    return {
      label: load.label,
      value: percent,
      text: loadText(load),
      level: percent > 100 ? 'stop' : percent > share ? 'warn' : 'well',
    };
  });
  const bitLines = bits.map(({ label, bits: value }): BarLine => ({
    label,
    value,
    text: `${figure(value, 3)} bits`,
    level: value < TOO_THIN_BITS ? 'stop' : value < THIN_BITS ? 'warn' : 'well',
  }));
  return (
    <Box mt="5">
      <Text as="h2" fontSize="lg" fontWeight="600">
        What it loads
      </Text>
      {loads.length === 0 ? (
        <Text fontSize="sm" color="ink.soft">
          Nothing goes into a computer, to a drive or up a line yet.
        </Text>
      ) : (
        <>
          <Text fontSize="sm" color="ink.soft">
            Each against what it carries; {figure(share, 0)} % is the house rule for the line.
          </Text>
          <Bars
            label={`Loads: ${loadLines.map(({ label, text }) => `${label} ${text}`).join('; ')}`}
            lines={loadLines}
            max={MOST_PERCENT}
            marks={[
              { at: share, label: `${figure(share, 0)} %` },
              { at: 100, label: '100 %' },
            ]}
          />
        </>
      )}
      {bits.length > 0 && (
        <>
          <Text as="h3" fontWeight="600" mt="3">
            Bits for each delivered pixel
          </Text>
          <Bars
            label={`Bits a pixel: ${bitLines.map(({ label, text }) => `${label} ${text}`).join('; ')}`}
            lines={bitLines}
            max={MOST_BITS}
            marks={[
              { at: TOO_THIN_BITS, label: '0.03' },
              { at: THIN_BITS, label: '0.05' },
            ]}
          />
        </>
      )}
    </Box>
  );
};
