'use client';

import { CloseButton, Dialog, Portal } from '@chakra-ui/react';
import type { ReactNode, RefObject } from 'react';

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly size?: 'sm' | 'md' | 'lg' | 'xl';
  readonly children: ReactNode;
  readonly footer?: ReactNode;
  readonly focusFirst?: RefObject<HTMLElement | null>;
}

/** A dialog over the page. Escape closes it and focus returns to where it was. */
export const Modal = ({
  open,
  onClose,
  title,
  size = 'md',
  children,
  footer,
  focusFirst,
}: Props) => (
  <Dialog.Root
    open={open}
    onOpenChange={(details) => !details.open && onClose()}
    size={size}
    lazyMount
    unmountOnExit
    initialFocusEl={focusFirst ? () => focusFirst.current : undefined}
  >
    <Portal>
      <Dialog.Backdrop bg="blackAlpha.500" />
      <Dialog.Positioner>
        <Dialog.Content bg="paper" borderWidth="1px" borderColor="rule.strong">
          <Dialog.Header pb="2">
            <Dialog.Title fontSize="lg">{title}</Dialog.Title>
          </Dialog.Header>
          <Dialog.CloseTrigger asChild>
            <CloseButton size="sm" aria-label="Close" />
          </Dialog.CloseTrigger>
          <Dialog.Body>{children}</Dialog.Body>
          {footer && <Dialog.Footer>{footer}</Dialog.Footer>}
        </Dialog.Content>
      </Dialog.Positioner>
    </Portal>
  </Dialog.Root>
);
