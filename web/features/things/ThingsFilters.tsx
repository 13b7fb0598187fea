import { Flex, Input, Text } from '@chakra-ui/react';
import { CONDITIONS, HAD_AS, THING_KINDS } from '@echo-loom/core';
import { FilterChoice } from '@/ui/FilterChoice';
import type { NarrowedThings } from './search';

const pairs = (values: readonly string[]) => values.map((value) => [value, value] as const);

interface Props {
  readonly by: NarrowedThings;
  readonly onBy: (by: NarrowedThings) => void;
  readonly shown: number;
  readonly of: number;
}

/** What the list of things is narrowed by, and how much of it is shown. */
export const ThingsFilters = ({ by, onBy, shown, of }: Props) => (
  <Flex gap="2" wrap="wrap" align="center" mb="2">
    <Input
      size="sm"
      maxW="16rem"
      type="search"
      aria-label="Search things"
      placeholder="Search: name, serial, shelf…"
      value={by.query}
      onChange={({ target }) => onBy({ ...by, query: target.value })}
    />
    <FilterChoice
      label="Kind"
      all="Every kind"
      value={by.kind}
      options={pairs(THING_KINDS)}
      onChoose={(kind) => onBy({ ...by, kind })}
    />
    <FilterChoice
      label="Had"
      all="However had"
      value={by.had}
      options={pairs(HAD_AS)}
      onChoose={(had) => onBy({ ...by, had })}
    />
    <FilterChoice
      label="Condition"
      all="Any condition"
      value={by.condition}
      options={pairs(CONDITIONS)}
      onChoose={(condition) => onBy({ ...by, condition })}
    />
    <FilterChoice
      label="Use"
      all="Used or not"
      value={by.use}
      options={[
        ['used', 'In a rig'],
        ['idle', 'In no rig'],
      ]}
      onChoose={(use) => onBy({ ...by, use })}
    />
    <Text fontSize="sm" color="ink.soft" role="status">
      {shown} of {of}
    </Text>
  </Flex>
);
