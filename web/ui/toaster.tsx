'use client';

import { Toaster as ChakraToaster, createToaster, Stack, Toast } from '@chakra-ui/react';

/** Short messages at the foot of the page, with at most one action each. */
export const toaster = createToaster({ placement: 'bottom', pauseOnPageIdle: true });

export const Toaster = () => (
  <ChakraToaster toaster={toaster} insetInline={{ mdDown: '4' }}>
    {(toast) => (
      <Toast.Root width={{ md: 'sm' }} bg="ink" color="paper">
        <Stack gap="1" flex="1">
          {toast.title && <Toast.Title>{toast.title}</Toast.Title>}
          {toast.description && <Toast.Description>{toast.description}</Toast.Description>}
        </Stack>
        {toast.action && (
          <Toast.ActionTrigger textDecoration="underline">{toast.action.label}</Toast.ActionTrigger>
        )}
        {toast.closable && <Toast.CloseTrigger />}
      </Toast.Root>
    )}
  </ChakraToaster>
);
