'use client';

import { Box, Table, Text } from '@chakra-ui/react';
import {
  type Analysis,
  type CircuitLoading,
  circuitLoadings,
  type Drawn,
  type FeedLoading,
  feedLoadings,
  upsMinutes,
  nameOfThing,
} from '@echo-loom/core';
import { cell, head } from '@/ui/SpotCells';

const figure = (value: number, digits = 0): string => value.toFixed(digits);

const amps = (a: number | null): string => (a === null ? '?' : figure(a, 1));

interface Line {
  readonly key: string;
  readonly depth: number;
  readonly name: string;
  readonly w: number;
  readonly va: number;
  readonly a: number | null;
  readonly bears: string;
  readonly isOver: boolean;
  readonly isBold: boolean;
}

const bearsOf = ({ feed, taken, typicalW }: FeedLoading): string => {
  const { figures } = feed;
  const sockets = `${taken} of ${figures.sockets} sockets`;
  if (figures.is === 'ups')
    return [
      `${figures.mostW} W`,
      `${figures.mostVa} VA`,
      sockets,
      typicalW > 0
        ? `${figure(upsMinutes(figures.wh, figures.efficiency, typicalW))} min`
        : 'nothing on it',
    ].join(', ');
  return `${figures.mostA === null ? '' : `${figures.mostA} A, `}${sockets}`;
};

const isOver = ({ feed, taken, a, w, va }: FeedLoading): boolean =>
  taken > feed.figures.sockets ||
  (feed.figures.is === 'ups'
    ? w > feed.figures.mostW || va > feed.figures.mostVa
    : feed.figures.mostA !== null && a !== null && a > feed.figures.mostA);

const deviceLine = (
  analysis: Analysis,
  { of, id, w, va, covers, isTypicalFactor, powerFactor }: Drawn,
  depth: number,
  volts: number | null,
): Line => ({
  key: `${of} ${id}`,
  depth,
  name: nameOfThing(analysis, { of, id }),
  w,
  va,
  a: volts === null ? null : va / volts,
  bears: [
    String(powerFactor),
    ...(isTypicalFactor && of === 'device' ? ['typical'] : []),
    ...(covers > 1 ? [`covers ${covers} sockets`] : []),
  ].join(', '),
  isOver: false,
  isBold: false,
});

/** Circuits, what hangs on them, and what hangs on that, one line each. */
export const linesOf = (analysis: Analysis): Line[] => {
  const volts = analysis.rig.mains?.volts ?? null;
  const feeds = feedLoadings(analysis);
  const under = (loading: FeedLoading): ReadonlySet<string> =>
    new Set(
      feeds
        .filter(({ feedId }) => loading.feedIds.includes(feedId))
        .flatMap(({ drawn }) => drawn.map(({ of, id }) => `${of} ${id}`)),
    );
  const linesOfFeed = (loading: FeedLoading, depth: number): Line[] => {
    const below = under(loading);
    return [
      {
        key: `feed ${loading.feedId}`,
        depth,
        name: loading.feed.name,
        w: loading.w,
        va: loading.va,
        a: loading.a,
        bears: bearsOf(loading),
        isOver: isOver(loading),
        isBold: true,
      },
      ...loading.drawn
        .filter(({ of, id }) => !below.has(`${of} ${id}`))
        .map((one) => deviceLine(analysis, one, depth + 1, volts)),
      ...feeds
        .filter(({ feedId }) => loading.feedIds.includes(feedId))
        .flatMap((one) => linesOfFeed(one, depth + 1)),
    ];
  };
  const linesOfCircuit = (circuit: CircuitLoading): Line[] => {
    const own = feeds.filter(
      ({ feed }) => feed.from?.by === 'circuit' && feed.from.circuitId === circuit.circuitId,
    );
    const below = new Set(own.flatMap(({ drawn }) => drawn.map(({ of, id }) => `${of} ${id}`)));
    return [
      {
        key: `circuit ${circuit.circuitId}`,
        depth: 0,
        name: circuit.circuit.name,
        w: circuit.w,
        va: circuit.va,
        a: circuit.a,
        bears: [
          `${figure(circuit.allowedA, 1)} of ${circuit.circuit.breakerA} A`,
          ...(volts === null ? [] : [`${figure(circuit.allowedA * volts)} W`]),
        ].join(', '),
        isOver: circuit.a !== null && circuit.a > circuit.allowedA,
        isBold: true,
      },
      ...circuit.drawn
        .filter(({ of, id }) => !below.has(`${of} ${id}`))
        .map((one) => deviceLine(analysis, one, 1, volts)),
      ...own.flatMap((one) => linesOfFeed(one, 1)),
    ];
  };
  return [
    ...circuitLoadings(analysis).flatMap(linesOfCircuit),
    ...feeds.filter(({ feed }) => feed.from === null).flatMap((one) => linesOfFeed(one, 0)),
  ];
};

/** What is drawn, from the breaker to the plug: the circuit plan, also on paper. */
export const PowerTree = ({ analysis }: { readonly analysis: Analysis }) => {
  const lines = linesOf(analysis);
  return (
    <Box overflowX="auto">
      <Table.Root size="sm" variant="outline" aria-label="What is drawn from where">
        {head(['From the breaker to the plug', 'W at most', 'VA', 'A', 'Bears; power factor'])}
        <Table.Body>
          {lines.map(({ key, depth, name, w, va, a, bears, isOver: over, isBold }) => (
            <Table.Row key={key} bg="transparent">
              <Table.Cell
                {...cell}
                ps={`${6 + 18 * depth}px`}
                fontWeight={isBold ? '600' : undefined}
              >
                {name}
              </Table.Cell>
              <Table.Cell {...cell} className="figures">
                {figure(w)}
              </Table.Cell>
              <Table.Cell {...cell} className="figures">
                {figure(va)}
              </Table.Cell>
              <Table.Cell
                {...cell}
                className="figures"
                color={over ? 'madder' : undefined}
                fontWeight={over ? '600' : undefined}
              >
                {amps(a)}
                {over ? ' ✕' : ''}
                {over && (
                  <Text as="span" srOnly>
                    , too much
                  </Text>
                )}
              </Table.Cell>
              <Table.Cell {...cell} className="figures" fontSize="xs">
                {bears}
              </Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
    </Box>
  );
};
