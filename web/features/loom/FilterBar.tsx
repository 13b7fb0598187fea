'use client';

import { Button, Checkbox, Flex, Text } from '@chakra-ui/react';
import { type Analysis, inOrder } from '@echo-loom/core';
import { FilterChoice } from '@/ui/FilterChoice';
import { isFiltered, NO_FILTER } from '@/features/chosen/filter';
import { useLoomView } from '@/features/chosen/view';

interface Props {
  readonly analysis: Analysis;
  /** Threads that are drawn; null where all are */
  readonly threads: number | null;
}

/** Which threads are drawn: of a person, of a signal, through a device, or only with a finding. */
export const FilterBar = ({ analysis, threads }: Props) => {
  const filter = useLoomView((view) => view.filter);
  const setFilter = useLoomView((view) => view.setFilter);
  const { people, devices } = analysis.rig;
  return (
    <Flex
      role="group"
      aria-label="Which threads are drawn"
      className="screen-only"
      align="center"
      gap="3"
      px="4"
      pb="2"
      wrap="wrap"
    >
      <FilterChoice
        label="Threads of a person"
        all="Anybody’s"
        value={filter.personId}
        options={inOrder(people).map(([id, { name }]) => [id, name])}
        onChoose={(personId) => setFilter({ personId })}
      />
      <FilterChoice
        label="Threads of a signal"
        all="Pictures and sound"
        value={filter.signal}
        options={[
          ['picture', 'Pictures only'],
          ['sound', 'Sound only'],
        ]}
        onChoose={(signal) =>
          setFilter({ signal: signal === 'picture' || signal === 'sound' ? signal : null })
        }
      />
      <FilterChoice
        label="Threads through a device"
        all="Through any device"
        value={filter.deviceId}
        options={inOrder(devices).map(([id, { name }]) => [id, name])}
        onChoose={(deviceId) => setFilter({ deviceId })}
      />
      <Checkbox.Root
        size="sm"
        checked={filter.onlyFindings}
        onCheckedChange={({ checked }) => setFilter({ onlyFindings: checked === true })}
      >
        <Checkbox.HiddenInput />
        <Checkbox.Control />
        <Checkbox.Label fontWeight="400">Only what has findings</Checkbox.Label>
      </Checkbox.Root>
      {isFiltered(filter) && (
        <>
          <Text fontSize="sm" color="ink.soft" role="status">
            {threads ?? 0} of {analysis.traced.threads.length} threads
          </Text>
          <Button size="xs" variant="outline" onClick={() => setFilter(NO_FILTER)}>
            Show all
          </Button>
        </>
      )}
    </Flex>
  );
};
