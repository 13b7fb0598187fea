'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useRig, useRigSession } from './RigProvider';

const Notice = ({ children, onDismiss }: { readonly children: ReactNode; readonly onDismiss?: () => void }) => (
  <Flex role="alert" align="center" justify="space-between" gap="3" px="4" py="1.5" bg="madder.wash" borderBottomWidth="1px" borderColor="rule" fontSize="sm">
    <Box>{children}</Box>
    {onDismiss && <Button size="xs" variant="outline" onClick={onDismiss}>Dismiss</Button>}
  </Flex>
);

/** What must be said above the view: a server that is away, a command that was refused, an edit that could not be replayed. */
export const Notices = () => {
  const session = useRigSession();
  const save = useRig((state) => state.save);
  const refusal = useRig((state) => state.refusal);
  const setAside = useRig((state) => state.setAside);
  return (
    <>
      {save.state === 'waiting' && <Notice>{save.says}</Notice>}
      {save.state === 'gone' && <Notice>This rig has been deleted from the shelf. What you see can still be read, and edits stay in this browser only.</Notice>}
      {refusal !== null && <Notice onDismiss={session.dismissRefusal}>{refusal}</Notice>}
      {setAside.map((item) => (
        <Notice key={item.id} onDismiss={() => session.dismissSetAside(item.id)}>
          <Text as="span" fontWeight="600">Set aside: {item.says}</Text> Someone else changed the rig meanwhile. {item.why}
        </Notice>
      ))}
    </>
  );
};
