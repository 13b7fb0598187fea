'use client';

import { Box, Flex, Input } from '@chakra-ui/react';
import { FilterChoice } from '@/ui/FilterChoice';
import { NumberField } from '@/ui/NumberField';
import { connectorsOf, type Entry, kindsOf, type Narrowed } from './search';

const pairs = (values: readonly string[]) => values.map((value) => [value, value] as const);

/** What the list of models is narrowed by. */
export const Filters = ({
  entries,
  by,
  onBy,
}: {
  readonly entries: readonly Entry[];
  readonly by: Narrowed;
  readonly onBy: (by: Narrowed) => void;
}) => (
  <Flex gap="2" wrap="wrap" align="center" mb="3">
    <Input
      size="sm"
      maxW="16rem"
      type="search"
      aria-label="Search models"
      placeholder="Search: quiet microphone, capture…"
      value={by.query}
      onChange={({ target }) => onBy({ ...by, query: target.value })}
    />
    <FilterChoice
      label="Whose"
      all="All models"
      value={by.whose}
      options={[
        ['ours', 'Yours'],
        ['catalogue', 'Catalogue'],
        ['there', 'You have one'],
      ]}
      onChoose={(whose) => onBy({ ...by, whose })}
    />
    <FilterChoice
      label="Kind"
      all="Every kind"
      value={by.kind}
      options={pairs(kindsOf(entries))}
      onChoose={(kind) => onBy({ ...by, kind })}
    />
    <FilterChoice
      label="Connector"
      all="Every connector"
      value={by.connector}
      options={pairs([...new Set(entries.flatMap(({ model }) => connectorsOf(model)))].sort())}
      onChoose={(connector) => onBy({ ...by, connector })}
    />
    <Box width="15rem">
      <NumberField
        label="Price at most"
        unit=""
        min={0}
        mayBeUnknown
        whenEmpty="any"
        value={by.mostPrice}
        onCommit={(mostPrice) => onBy({ ...by, mostPrice })}
      />
    </Box>
  </Flex>
);
