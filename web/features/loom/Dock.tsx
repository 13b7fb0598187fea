'use client';

import { Button, ButtonGroup, Flex } from '@chakra-ui/react';
import type { ReactNode, RefObject } from 'react';
import { Overview } from './Overview';
import type { LoomLayout } from '@/layout/parts';
import type { useZoom } from './useZoom';

interface Props {
  readonly layout: LoomLayout;
  readonly scroll: RefObject<HTMLDivElement | null>;
  readonly zooming: ReturnType<typeof useZoom>;
  /** The chosen thread, or what the readings are */
  readonly children: ReactNode;
  /** Puts the chart on paper */
  readonly paper: ReactNode;
}

/** Below the chart: the chosen thread as a line, and where on the whole chart one is. */
export const Dock = ({ layout, scroll, zooming, children, paper }: Props) => {
  const { zoom, isLarger, nearer, farther, fit } = zooming;
  return (
    <Flex
      className="screen-only"
      borderTopWidth="1px"
      borderColor="rule"
      px="4"
      py="1.5"
      gap="4"
      align="center"
      justify="space-between"
      wrap={{ base: 'wrap', md: 'nowrap' }}
      maxH={{ base: '170px', md: '100px' }}
      overflowY="auto"
    >
      {children}
      <Flex gap="3" align="center" flex="none">
        <ButtonGroup size="xs" variant="outline" gap="1">
          <Button aria-label="Smaller" onClick={farther}>
            −
          </Button>
          <Button
            className="figures"
            aria-label={`Size ${Math.round(zoom * 100)} %: fit the whole chart, or full size`}
            onClick={fit}
          >
            {Math.round(zoom * 100)} %
          </Button>
          <Button aria-label="Larger" onClick={nearer}>
            +
          </Button>
        </ButtonGroup>
        {paper}
        {(isLarger || zoom < 1) && <Overview layout={layout} zoom={zoom} scroll={scroll} />}
      </Flex>
    </Flex>
  );
};
