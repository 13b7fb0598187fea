'use client';

import { Text } from '@chakra-ui/react';

/** Over a part of the brief. */
export const ShowHeading = ({ children }: { readonly children: string }) => (
  <Text as="h2" fontSize="md" fontWeight="600" mt="5" mb="1.5">
    {children}
  </Text>
);
