import { Box, Button, Flex, Text } from '@chakra-ui/react';

interface Props {
  readonly id: string;
  readonly why: string;
  readonly changed: string;
}

/** A rig of which only the raw file can be had. */
export const UnreadableCard = ({ id, why, changed }: Props) => (
  <Box
    as="article"
    aria-label={`A rig that cannot be read: ${id}`}
    borderWidth="1px"
    borderColor="rule"
    bg="paper.card"
    p="3"
  >
    <Text as="h2" fontWeight="600" fontSize="lg">
      This rig cannot be read
    </Text>
    <Text mt="1" fontSize="sm" overflowWrap="anywhere" lineClamp="3">
      {why}
    </Text>
    <Text mt="1" fontSize="sm" color="ink.soft">
      It is kept as it is. Save its file, and have it looked at; every other rig works.
    </Text>
    <Flex mt="3" justify="space-between" align="center" gap="2" fontSize="sm" color="ink.soft">
      <Text>
        {id} · {changed}
      </Text>
      <Button asChild size="xs" variant="outline" flex="none">
        <a href={`/api/rigs/${id}/raw`} download>
          Save its file
        </a>
      </Button>
    </Flex>
  </Box>
);
