'use client';

import { Button, Flex, NativeSelect, Text } from '@chakra-ui/react';
import { memo } from 'react';
import { ReadingChoice } from './ReadingChoice';
import type { Grouping } from '@/layout/rows';
import { useLoomView } from '@/features/chosen/view';

interface Props {
  readonly grouping: Grouping;
  readonly hasFindings: boolean;
  readonly onConnect: () => void;
  readonly onStep: (by: 1 | -1) => void;
  readonly isFiltering: boolean;
  readonly onFilter: () => void;
}

/** Above the chart: what the figures on the threads say, how rows are grouped, and the next thing to do. */
export const LoomBar = memo(function LoomBar({
  grouping,
  hasFindings,
  onConnect,
  onStep,
  isFiltering,
  onFilter,
}: Props) {
  const view = useLoomView();
  return (
    <Flex align="center" gap="3" px="4" py="2" wrap="wrap" className="screen-only">
      <ReadingChoice />
      <Flex ml="auto" gap="2" align="center" wrap="wrap">
        <NativeSelect.Root size="sm" width="170px">
          <NativeSelect.Field
            aria-label="Rows by"
            value={view.grouping ?? 'auto'}
            onChange={(event) =>
              view.setGrouping(
                event.target.value === 'owner'
                  ? 'owner'
                  : event.target.value === 'family'
                    ? 'family'
                    : null,
              )
            }
          >
            <option value="auto">
              Rows: {grouping === 'owner' ? 'by person' : 'by signal'} (best)
            </option>
            <option value="owner">Rows by person</option>
            <option value="family">Rows by signal</option>
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
        <Button size="sm" variant="outline" aria-expanded={isFiltering} onClick={onFilter}>
          Filter{' '}
          <Text as="kbd" fontSize="xs" color="ink.soft">
            f
          </Text>
        </Button>
        <Button size="sm" variant="outline" disabled={!hasFindings} onClick={() => onStep(1)}>
          Next finding{' '}
          <Text as="kbd" fontSize="xs" color="ink.soft">
            ]
          </Text>
        </Button>
        <Button size="sm" variant="outline" onClick={onConnect}>
          Connect{' '}
          <Text as="kbd" fontSize="xs" color="ink.soft">
            c
          </Text>
        </Button>
        <Button size="sm" bg="madder" color="madder.ink" onClick={() => view.open('add')}>
          Add{' '}
          <Text as="kbd" fontSize="xs">
            a
          </Text>
        </Button>
      </Flex>
    </Flex>
  );
});
