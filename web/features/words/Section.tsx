'use client';

import { Box, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Explained } from './Explained';

interface Props {
  readonly title: string;
  readonly children: ReactNode;
}

/** A part of the side sheet under a thin rule. */
export const Section = ({ title, children }: Props) => (
  <Box as="section" borderTopWidth="1px" borderColor="rule" pt="2.5" mt="3.5">
    <Text
      as="h3"
      fontSize="xs"
      fontWeight="600"
      letterSpacing="0.05em"
      textTransform="uppercase"
      color="ink.soft"
      mb="1.5"
    >
      {title}
    </Text>
    {children}
  </Box>
);

/** A figure with its name, one line. */
export const FigureLine = ({
  name,
  value,
  title,
}: {
  readonly name: string;
  readonly value: string;
  readonly title?: string;
}) => (
  <Box
    display="flex"
    justifyContent="space-between"
    gap="3"
    borderBottomWidth="1px"
    borderColor="rule"
    py="1"
    fontSize="sm"
    title={title}
  >
    <Text as="span">
      <Explained text={name} />
    </Text>
    <Text as="span" className="figures" textAlign="end" fontSize="0.8125rem">
      {value}
    </Text>
  </Box>
);
