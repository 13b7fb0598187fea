'use client';

import { Box, CloseButton, Flex } from '@chakra-ui/react';
import type { Analysis } from '@echo-loom/core';
import { memo, useEffect, useRef } from 'react';
import { useLoomView, type Item } from '@/features/chosen/view';
import { CableSheet } from './CableSheet';
import { DeviceSheet } from './DeviceSheet';

interface Props {
  /** May be one edit behind while the chart is drawn first; what is edited here reads the rig itself */
  readonly analysis: Analysis;
  readonly item: Item;
  /** Grows with every opening, so that the sheet takes the focus each time */
  readonly opening: number;
  readonly onClose: () => void;
  readonly onConnect: (portId: string | null) => void;
}

/** What is known of the selected device or cable, and everything that can be done with it. */
export const SideSheet = memo(function SideSheet({
  analysis,
  item,
  opening,
  onClose,
  onConnect,
}: Props) {
  const sheet = useRef<HTMLElement>(null);
  const select = useLoomView((view) => view.select);
  useEffect(() => {
    if (opening > 0) sheet.current?.focus();
  }, [opening]);
  return (
    <Box
      as="aside"
      ref={sheet}
      tabIndex={-1}
      aria-label="Side sheet"
      width={{ base: 'min(340px, 100%)', lg: '340px' }}
      flex="none"
      overflowY="auto"
      borderLeftWidth="1px"
      borderColor="rule"
      bg="paper"
      p="4"
      pt="2"
      position={{ base: 'absolute', lg: 'static' }}
      right="0"
      top="0"
      bottom="0"
      zIndex="10"
      className="screen-only"
      onKeyDown={(event) => {
        if (event.key === 'Escape' && !event.defaultPrevented) {
          onClose();
          select(item);
        }
      }}
    >
      <Flex justify="end" mb="-1">
        <CloseButton size="xs" aria-label="Close the side sheet" onClick={onClose} />
      </Flex>
      {item.kind === 'device' ? (
        <DeviceSheet key={item.id} analysis={analysis} deviceId={item.id} onConnect={onConnect} />
      ) : (
        <CableSheet key={item.id} analysis={analysis} linkId={item.id} />
      )}
    </Box>
  );
});
