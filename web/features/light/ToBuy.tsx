'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import type { Analysis, LightOption, LightWish, SimpleCommand } from '@echo-loom/core';
import { PlainTable } from '@/ui/PlainTable';
import { SearchProgress } from '@/ui/Searching';
import { useSearch } from '@/workers/useSearch';
import { luxText } from './shares';

const KINDS: Readonly<Record<LightOption['is'], string>> = {
  set: 'Turn',
  move: 'Move',
  buy: 'Buy',
};

interface Props {
  readonly analysis: Analysis;
  readonly wish: LightWish;
  readonly onTake: (label: string, commands: readonly SimpleCommand[]) => void;
}

const faceText = ({ faces }: Pick<LightOption, 'faces'>): string =>
  faces
    .map(
      ({ name, lux, ratio }) =>
        `${name} ${luxText(lux)} lux${ratio === null ? '' : `, ${ratio.toFixed(1)} : 1`}`,
    )
    .join('; ');

/** Whether another lamp is needed at all, and what each thing that could be done changes. */
export const ToBuy = ({ analysis, wish, onTake }: Props) => {
  const search = useSearch({
    analysis,
    ask: (tasks, onProgress) => tasks.lightToBuy(wish, onProgress),
  });
  const advice = search.at.state === 'done' ? search.at.value : undefined;
  return (
    <Box mt="4" role="region" aria-label="What should I buy">
      <Text as="h3" fontWeight="600">
        What should I buy
      </Text>
      <Button
        size="xs"
        variant="outline"
        disabled={search.at.state === 'working'}
        onClick={() => search.start('light to buy')}
      >
        Try lamps and places
      </Button>
      <SearchProgress at={search.at} label="Trying lamps and places" onCancel={search.cancel} />
      {advice === null && (
        <Text fontSize="sm" role="status">
          Nobody who is to be seen stands in the room.
        </Text>
      )}
      {advice && (
        <>
          <Text fontSize="sm" role="status" my="1">
            {advice.says}
          </Text>
          <PlainTable
            label="What could be done, and what it changes"
            headings={['', 'What', 'Price', 'Then', 'Not met', '']}
            lines={[
              {
                id: 'now',
                head: 'Now',
                cells: [
                  '',
                  '',
                  faceText(advice.now),
                  advice.now.unmet.map(({ says }) => says).join('; ') || 'nothing',
                  '',
                ],
              },
              ...advice.options.map((option) => ({
                id: option.label,
                head: KINDS[option.is],
                cells: [
                  option.label,
                  option.price === 0 ? 'nothing' : option.price,
                  faceText(option),
                  option.unmet.map(({ says }) => says).join('; ') || 'nothing',
                  <Button
                    key="do"
                    size="xs"
                    variant="outline"
                    aria-label={`Do it: ${option.label}`}
                    disabled={option.commands.length === 0}
                    onClick={() => onTake(option.label, option.commands)}
                  >
                    Do it
                  </Button>,
                ],
              })),
            ]}
          />
        </>
      )}
    </Box>
  );
};
