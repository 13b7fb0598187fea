import { Box, Text } from '@chakra-ui/react';

interface Props {
  readonly unsent: number;
  readonly isAway: boolean;
  readonly refused: string | null;
  /** Titles of stops that were not there when the page was opened */
  readonly newStops: readonly string[];
}

/** Most that are told by their title. */
const TOLD = 2;

const keptText = (unsent: number): string =>
  unsent === 0 ? 'what you tick and mark is kept here' : `${unsent} kept here`;

/** What whoever runs the show must hear of at once: the server away, something refused, a new stop. */
export const RunNotices = ({ unsent, isAway, refused, newStops }: Props) => (
  <>
    <Box role="status" aria-live="polite" px="3" fontSize="sm">
      {isAway && (
        <Text color="level.warn" py="1">
          {`The server is away. Go on: ${keptText(unsent)} and sent when it is back.`}
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
