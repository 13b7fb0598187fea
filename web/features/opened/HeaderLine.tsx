'use client';

import { Button, Flex, Text } from '@chakra-ui/react';
import Link from 'next/link';
import type { ReactNode } from 'react';

interface Props {
  readonly name: string;
  /** The rig, once it is open */
  readonly openRigId?: string;
  readonly children: ReactNode;
}

/** The line over a rig, the same before it is open: the way to the shelf, the rig's name, and what is said and done. */
export const HeaderLine = ({ name, openRigId, children }: Props) => (
  <Flex
    as="header"
    align="center"
    gap="3"
    px="3"
    minH="12"
    borderBottomWidth="1px"
    borderColor="rule"
    wrap="wrap"
    data-rig={openRigId}
  >
    <Button asChild size="sm" variant="ghost" px="2" className="screen-only">
      <Link href="/" prefetch={false}>
        Shelf
      </Link>
    </Button>
    <Text as="h1" fontWeight="600" fontSize="lg" truncate maxW="34ch">
      {name}
    </Text>
    {children}
  </Flex>
);
