'use client';

import { Box, Button, Text } from '@chakra-ui/react';

/** Shown where a page could not be made: most often the database does not answer. */
const ErrorPage = ({ reset }: { readonly reset: () => void }) => (
  <Box as="main" maxW="44ch" mx="auto" mt="20vh" px="5">
    <Text as="h1" fontWeight="600" fontSize="xl">
      This page could not be made.
    </Text>
    <Text my="3">
      Most often the database does not answer. What is saved is safe, and edits that were not saved
      are kept in this browser. Try again in a moment.
    </Text>
    <Button
      bg="madder"
      color="madder.ink"
      onClick={() => {
        reset();
        window.location.reload();
      }}
    >
      Try again
    </Button>
  </Box>
);
export default ErrorPage;
