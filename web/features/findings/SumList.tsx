'use client';

import { Box, Text } from '@chakra-ui/react';
import { figure, type Sum } from '@echo-loom/core';

const valueText = (value: number | string): string =>
  typeof value === 'string'
    ? value
    : figure(
        value,
        Number.isInteger(value) ? 0 : Math.abs(value) < 10 && Math.abs(value) > 0 ? 3 : 2,
      );

interface Props {
  readonly sums: readonly Sum[];
  readonly open?: boolean;
}

/**
 * The arithmetic behind a figure: the result first, then the relation, then the numbers in it and
 * where the relation comes from.
 */
export const SumList = ({ sums, open = true }: Props) => (
  <Box
    as="details"
    mt="2.5"
    {...(open ? { open: true } : {})}
    css={{
      '& > summary': {
        cursor: 'pointer',
        fontSize: '13px',
        color: 'var(--chakra-colors-ink-soft)',
        minHeight: '24px',
      },
    }}
  >
    <summary>The sums</summary>
    <Box bg="paper.deep" px="2.5" py="2" fontSize="xs" lineHeight="1.5" className="figures">
      {sums.map((sum, index) => (
        <Box key={`${sum.label} ${index}`} mb={index === sums.length - 1 ? 0 : '2.5'}>
          <Text fontFamily="body" fontWeight="600" fontSize="0.8125rem">
            {sum.label}
          </Text>
          <Text fontWeight="600">
            {sum.result === null
              ? 'cannot tell'
              : `${figure(sum.result, sum.unit === 'Gb/s' || sum.unit === 'MB/s' ? 3 : 2)} ${sum.unit}`}{' '}
            = {sum.formula}
          </Text>
          {sum.inputs.map((input) => (
            <Text key={input.name} pl="3" color="ink.soft">
              {input.name}: {valueText(input.value)} {input.unit}
            </Text>
          ))}
          {sum.note && (
            <Text fontFamily="body" fontSize="0.8125rem" mt="0.5">
              {sum.note}
            </Text>
          )}
          <Text color="ink.soft" fontSize="0.6875rem">
            {sum.source}
          </Text>
        </Box>
      ))}
    </Box>
  </Box>
);
