import { Box, Button, Text } from '@chakra-ui/react';

/** What the shelf says before there is a rig. */
export const EmptyShelf = ({ onNew }: { readonly onNew: () => void }) => (
  <Box borderWidth="1px" borderColor="rule" bg="paper.card" p="8" textAlign="center">
    <Text fontWeight="600" fontSize="lg">
      The shelf is empty.
    </Text>
    <Text mt="1" mb="4">
      A rig is one studio: its cameras, microphones and everything between them and the audience.
      Start from a blank one, from a starting point, or import a file.
    </Text>
    <Button bg="madder" color="madder.ink" onClick={onNew}>
      New rig
    </Button>
  </Box>
);
