'use client';

import { Button, Checkbox, Flex, NativeSelect, Text } from '@chakra-ui/react';
import { type Analysis, inOrder } from '@echo-loom/core';
import { isFiltered, NO_FILTER } from './filter';
import { useLoomView } from './view';

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
  const choice = (
    label: string,
    all: string,
    value: string | null,
    options: readonly (readonly [string, string])[],
    choose: (value: string | null) => void,
  ) => (
    <NativeSelect.Root size="sm" width="160px">
      <NativeSelect.Field
        aria-label={label}
        value={value ?? ''}
        onChange={({ target }) => choose(target.value === '' ? null : target.value)}
      >
        <option value="">{all}</option>
        {options.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </NativeSelect.Field>
      <NativeSelect.Indicator />
    </NativeSelect.Root>
  );
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
      {choice(
        'Threads of a person',
        'Anybody’s',
        filter.personId,
        inOrder(people).map(([id, { name }]) => [id, name]),
        (personId) => setFilter({ personId }),
      )}
      {choice(
        'Threads of a signal',
        'Pictures and sound',
        filter.signal,
        [
          ['picture', 'Pictures only'],
          ['sound', 'Sound only'],
        ],
        (signal) =>
          setFilter({ signal: signal === 'picture' || signal === 'sound' ? signal : null }),
      )}
      {choice(
        'Threads through a device',
        'Through any device',
        filter.deviceId,
        inOrder(devices).map(([id, { name }]) => [id, name]),
        (deviceId) => setFilter({ deviceId }),
      )}
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
