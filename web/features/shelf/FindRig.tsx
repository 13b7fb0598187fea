import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { ChoiceField } from '@/ui/ChoiceField';
import { isOrder, type Order, ORDERS } from './arranged';

interface Props {
  readonly query: string;
  readonly order: Order;
  /** How many rigs are shown, of how many */
  readonly shown: number;
  readonly of: number;
  /** Every tag there is; one at a press is looked for */
  readonly tags: readonly string[];
  readonly onQuery: (query: string) => void;
  readonly onOrder: (order: Order) => void;
}

/** Finds rigs of the shelf by their names and tags, and puts them in an order. */
export const FindRig = ({ query, order, shown, of, tags, onQuery, onOrder }: Props) => (
  <>
    <Flex gap="3" mb="4" wrap="wrap" align="center">
      <Input
        type="search"
        size="sm"
        width="240px"
        aria-label="Find a rig by its name or tag"
        placeholder="Find a rig"
        value={query}
        onChange={(event) => onQuery(event.target.value)}
      />
      <Box flex="none">
        <ChoiceField
          inCell
          width="130px"
          label="Order of the shelf"
          value={order}
          options={ORDERS}
          onChoose={(next) => isOrder(next) && onOrder(next)}
        />
      </Box>
      {tags.map((tag) => (
        <Button
          key={tag}
          size="xs"
          variant={query === tag ? 'solid' : 'outline'}
          aria-pressed={query === tag}
          onClick={() => onQuery(query === tag ? '' : tag)}
        >
          {tag}
        </Button>
      ))}
      <Text fontSize="sm" color="ink.soft" role="status">
        {query.trim() === '' ? '' : `${shown} of ${of}`}
      </Text>
    </Flex>
    {shown === 0 && (
      <Text>
        No rig is called or tagged that.{' '}
        <Button size="sm" variant="outline" onClick={() => onQuery('')}>
          Show all
        </Button>
      </Text>
    )}
  </>
);
