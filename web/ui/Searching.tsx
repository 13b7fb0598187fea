'use client';

import { Button, Flex, Progress, Text } from '@chakra-ui/react';

interface Props {
  /** What is being done: "Trying every setting" */
  readonly label: string;
  readonly tried: number;
  /** 0 where it is not known yet */
  readonly of: number;
  readonly onCancel: () => void;
}

/** A search under way: how far it is, and a way out of it. */
const Searching = ({ label, tried, of, onCancel }: Props) => (
  <Flex role="status" gap="3" align="center" my="2" className="screen-only">
    <Text fontSize="sm">
      {label}
      {of > 0 ? `: ${tried.toLocaleString('en')} of ${of.toLocaleString('en')}` : ''} …
    </Text>
    <Progress.Root
      flex="1"
      maxW="220px"
      size="sm"
      value={of > 0 ? (100 * tried) / of : null}
      aria-label={label}
    >
      <Progress.Track>
        <Progress.Range bg="madder" />
      </Progress.Track>
    </Progress.Root>
    <Button size="xs" variant="outline" onClick={onCancel}>
      Cancel
    </Button>
  </Flex>
);

type SearchAt =
  | { readonly state: 'idle' | 'done' }
  | { readonly state: 'working'; readonly tried: number; readonly of: number }
  | { readonly state: 'failed'; readonly says: string };

/** What there is to see of a search before its answer: how far it is, or why it came to nothing. */
export const SearchProgress = ({
  at,
  label,
  onCancel,
}: Pick<Props, 'label' | 'onCancel'> & { readonly at: SearchAt }) => {
  switch (at.state) {
    case 'working':
      return <Searching label={label} tried={at.tried} of={at.of} onCancel={onCancel} />;
    case 'failed':
      return (
        <Text role="alert" fontSize="sm" color="level.stop" mt="2">
          The search failed: {at.says}. Try again.
        </Text>
      );
    case 'idle':
    case 'done':
      return null;
  }
};
