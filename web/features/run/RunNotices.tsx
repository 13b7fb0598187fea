import { Box, Text } from '@chakra-ui/react';
import type { KeptPage } from './useKeptPage';

interface Props {
  readonly unsent: number;
  readonly isAway: boolean;
  readonly page: KeptPage;
  readonly refused: string | null;
  /** Titles of stops that were not there when the page was opened */
  readonly newStops: readonly string[];
}

/** Most that are told by their title. */
const TOLD = 2;

const keptText = (unsent: number): string =>
  unsent === 0 ? 'what you tick and mark is kept here' : `${unsent} kept here`;

const againText = (page: KeptPage): string =>
  page === 'kept'
    ? 'This page can be loaded again without it.'
    : 'Leave this page open: without it the page cannot be loaded again.';

/** What whoever runs the show must hear of at once: the server away, something refused, a new stop. */
export const RunNotices = ({ unsent, isAway, page, refused, newStops }: Props) => (
  <>
    <Box role="status" aria-live="polite" px="3" fontSize="sm">
      {isAway && (
        <Text color="level.warn" py="1">
          {`The server is away. Go on: ${keptText(unsent)} and sent when it is back. ${againText(page)}`}
        </Text>
      )}
      {refused !== null && (
        <Text color="level.stop" py="1">
          {`${refused} What you ticked and marked is kept in this browser.`}
        </Text>
      )}
    </Box>
    {newStops.length > 0 && (
      <Box role="alert" px="3" py="1.5" bg="madder.wash" color="level.stop">
        {newStops.slice(0, TOLD).map((title) => (
          <Text key={title}>{`Stop, new: ${title}`}</Text>
        ))}
        {newStops.length > TOLD && <Text>{`and ${newStops.length - TOLD} more`}</Text>}
      </Box>
    )}
  </>
);
