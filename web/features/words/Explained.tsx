'use client';

import { Box, Portal, Tooltip } from '@chakra-ui/react';
import { useId, useMemo, useState } from 'react';
import type { Word } from './glossary';
import { piecesOf } from './pieces';

/** A word of the field; what it means stands over it on hover, focus and tap. */
const Term = ({ word, children }: { readonly word: Word; readonly children: string }) => {
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  return (
    <Tooltip.Root
      open={isOpen}
      closeOnClick={false}
      closeOnPointerDown={false}
      onOpenChange={({ open }) => !open && setOpen(false)}
      positioning={{ placement: 'top' }}
    >
      <Tooltip.Trigger asChild>
        <Box
          as="span"
          role="button"
          tabIndex={0}
          aria-describedby={isOpen ? id : undefined}
          aria-label={`${children}: what is that?`}
          borderBottomWidth="1px"
          borderStyle="dotted"
          borderColor="ink.soft"
          cursor="help"
          onPointerEnter={({ pointerType }) => pointerType === 'mouse' && setOpen(true)}
          onPointerLeave={({ pointerType }) => pointerType === 'mouse' && setOpen(false)}
          onFocus={() => setOpen(true)}
          onBlur={() => setOpen(false)}
          onClick={() => setOpen(true)}
        >
          {children}
        </Box>
      </Tooltip.Trigger>
      {isOpen && (
        <Portal>
          <Tooltip.Positioner>
            <Tooltip.Content
              id={id}
              bg="ink"
              color="paper"
              fontSize="sm"
              fontWeight="400"
              maxW="34ch"
              p="2"
            >
              {word.says}
            </Tooltip.Content>
          </Tooltip.Positioner>
        </Portal>
      )}
    </Tooltip.Root>
  );
};

/** A sentence in which the words of the field can be asked about, each where it first stands. */
export const Explained = ({ text }: { readonly text: string }) => {
  const pieces = useMemo(() => piecesOf(text), [text]);
  return (
    <>
      {pieces.map(({ text: piece, word }, index) =>
        word ? (
          <Term key={index} word={word}>
            {piece}
          </Term>
        ) : (
          piece
        ),
      )}
    </>
  );
};
