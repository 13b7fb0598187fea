'use client';

import { Box, Portal, Text } from '@chakra-ui/react';
import { type Analysis, takeOut } from '@echo-loom/core';
import type { RefObject } from 'react';
import { usePointing } from './pointing';
import { saidOf } from './says';

interface Props {
  readonly analysis: Analysis;
  readonly line: RefObject<SVGLineElement | null>;
}

/** Over the loom while something is held: a line to the pointer, what a drop would do, and the way out of a thread. */
export const PointingLayer = ({ analysis, line }: Props) => {
  const { held, joinings, target } = usePointing();
  if (!held) return null;
  const said = target ? saidOf(analysis, held, joinings, target) : null;
  const out = held.portId === null ? takeOut(analysis, held.deviceId) : null;
  return (
    <Portal>
      <Box position="fixed" inset="0" zIndex="tooltip" pointerEvents="none">
        <svg width="100%" height="100%" aria-hidden>
          <line
            ref={line}
            stroke={said?.can ? 'var(--chakra-colors-madder)' : 'var(--chakra-colors-ink-soft)'}
            strokeWidth={2}
            strokeDasharray="6 4"
          />
        </svg>
        {out?.can && (
          <Box
            data-drop="out"
            position="absolute"
            top="56px"
            left="50%"
            transform="translateX(-50%)"
            pointerEvents="auto"
            px="5"
            py="3"
            bg={target?.at === 'out' ? 'madder.wash' : 'paper.card'}
            borderWidth="1px"
            borderStyle="dashed"
            borderColor="madder"
            fontSize="sm"
          >
            Drop here: {out.label.charAt(0).toLowerCase() + out.label.slice(1)}
          </Box>
        )}
        <Text
          role="status"
          position="absolute"
          bottom="16px"
          left="50%"
          transform="translateX(-50%)"
          maxW="90vw"
          px="3"
          py="1.5"
          fontSize="sm"
          bg={said?.can ? 'madder' : 'ink'}
          color={said?.can ? 'madder.ink' : 'paper'}
        >
          {said?.text ?? 'Drop it on a device, on a thread, or on empty ground. Escape lets go.'}
        </Text>
      </Box>
    </Portal>
  );
};
