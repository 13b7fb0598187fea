'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { Modal } from '@/ui/Modal';

/** Every key the loom answers to, as they are listed under `?`. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['← → ↑ ↓', 'Walk along and across the threads'],
  ['Enter', 'Open the side sheet of what is marked'],
  ['Escape', 'Close the side sheet or the dialog'],
  ['[ and ]', 'Previous and next finding'],
  ['1 to 5', 'Choose the reading'],
  ['+ and −', 'Draw the loom larger and smaller'],
  ['0', 'The whole loom in sight, and back to full size'],
  ['f', 'Choose which threads are drawn'],
  ['a', 'Add a device'],
  ['c', 'Connect the marked device'],
  ['Drag', 'Join a device or port with what it is dropped on'],
  ['Delete', 'Remove what is marked'],
  ['Ctrl + K', 'Everything by name'],
  ['Ctrl + Z', 'Undo'],
  ['Ctrl + Shift + Z', 'Redo'],
  ['?', 'This list'],
];

export const KeysSheet = ({
  onClose,
  onWords,
}: {
  readonly onClose: () => void;
  readonly onWords: () => void;
}) => (
  <Modal open onClose={onClose} title="Keys" size="sm">
    <Box as="dl" display="grid" gridTemplateColumns="auto 1fr" columnGap="5" rowGap="1.5">
      {KEYS.map(([keys, does]) => (
        <Box key={keys} display="contents">
          <Text as="dt" className="figures" fontSize="0.8125rem" whiteSpace="nowrap">
            {keys}
          </Text>
          <Text as="dd" fontSize="sm">
            {does}
          </Text>
        </Box>
      ))}
    </Box>
    <Button size="sm" variant="outline" mt="4" onClick={onWords}>
      Words of the field
    </Button>
  </Modal>
);
