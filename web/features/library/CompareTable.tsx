'use client';

import { Box, Button } from '@chakra-ui/react';
import type { Analysis, Compared, Finding } from '@echo-loom/core';
import type { ReactNode } from 'react';
import { PlainTable } from '@/ui/PlainTable';

const told = (findings: readonly Finding[]) =>
  findings.length === 0 ? (
    'nothing'
  ) : (
    <Box as="ul" ps="4">
      {findings.slice(0, 5).map(({ code, title, level }, index) => (
        <li key={`${code} ${index}`}>
          {level}: {title}
        </li>
      ))}
      {findings.length > 5 && <li>{findings.length - 5} more</li>}
    </Box>
  );

interface Props {
  readonly analysis: Analysis;
  readonly tried: readonly Compared[];
  readonly onTake: (tried: Compared) => void;
}

/** What each model comes to in the rig: a column each, and the edit that puts it there. */
export const CompareTable = ({ analysis, tried, onTake }: Props) => {
  const each = (cell: (one: Compared) => ReactNode) =>
    tried.map((one, index) => (
      <Box key={index} fontFamily="body">
        {one.why === null ? cell(one) : '–'}
      </Box>
    ));
  const { stops, warns, notes } = analysis.verdict;
  return (
    <PlainTable
      label="Models side by side in this rig"
      headings={['', ...tried.map(({ model }) => model.name)]}
      lines={[
        {
          id: 'stands',
          head: 'Can stand there',
          cells: tried.map(({ why }, index) => (
            <Box key={index} fontFamily="body">
              {why ?? 'yes'}
            </Box>
          )),
        },
        {
          id: 'verdict',
          head: `Stops, warnings, notes (now ${stops}, ${warns}, ${notes})`,
          cells: each(({ verdict }) =>
            verdict ? `${verdict.stops}, ${verdict.warns}, ${verdict.notes}` : '–',
          ),
        },
        { id: 'brings', head: 'Brings', cells: each(({ brings }) => told(brings)) },
        { id: 'takes', head: 'Takes away', cells: each(({ takes }) => told(takes)) },
        {
          id: 'worst',
          head: 'Worst voice over its noise',
          cells: each(({ worst }) =>
            worst ? `${worst.snrDb.toFixed(1)} dB, ${worst.name}` : 'not known',
          ),
        },
        {
          id: 'price',
          head: 'Usual price',
          cells: tried.map(({ model }) => model.typicalPrice ?? 'not known'),
        },
        { id: 'free', head: 'Sockets left free', cells: each(({ freeSockets }) => freeSockets) },
        {
          id: 'take',
          head: '',
          cells: each((one) => (
            <Button
              size="xs"
              variant="outline"
              aria-label={`Put ${one.model.name} there`}
              onClick={() => onTake(one)}
            >
              Put it there
            </Button>
          )),
        },
      ]}
    />
  );
};
