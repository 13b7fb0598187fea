'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { SetAside } from '@/session/outbox';
import { saveFile } from '@/ui/saveFile';
import { useRig, useRigId, useRigSession } from '@/features/rig/RigProvider';

interface NoticeProps {
  readonly children: ReactNode;
  /** What can be done about it, most likely first */
  readonly actions?: readonly { readonly name: string; readonly act: () => void }[];
}

const Notice = ({ children, actions = [] }: NoticeProps) => (
  <Flex
    role="alert"
    align="center"
    justify="space-between"
    gap="3"
    px="4"
    py="1.5"
    bg="madder.wash"
    borderBottomWidth="1px"
    borderColor="rule"
    fontSize="sm"
  >
    <Box minW="0" overflowWrap="anywhere">
      {children}
    </Box>
    <Flex gap="2" flex="none">
      {actions.map(({ name, act }) => (
        <Button key={name} size="xs" variant="outline" onClick={act}>
          {name}
        </Button>
      ))}
    </Flex>
  </Flex>
);

/** More than this many edits set aside are told as one. */
const TOLD_ONE_BY_ONE = 3;

const SetAsideNotices = () => {
  const session = useRigSession();
  const rigId = useRigId();
  const setAside = useRig((state) => state.setAside);
  const saveAsFile = (items: readonly SetAside[]): void =>
    saveFile(`${rigId}.set-aside.json`, 'application/json', JSON.stringify(items, null, 2));
  const retry = (items: readonly SetAside[]): void =>
    items.forEach(({ id }) => session.retrySetAside(id));
  const dismiss = (items: readonly SetAside[]): void =>
    items.forEach(({ id }) => session.dismissSetAside(id));
  const groups = setAside.length > TOLD_ONE_BY_ONE ? [setAside] : setAside.map((item) => [item]);
  return groups.map((items) => (
    <Notice
      key={items[0]?.id}
      actions={[
        { name: 'Try again', act: () => retry(items) },
        { name: 'Save as a file', act: () => saveAsFile(items) },
        { name: 'Dismiss', act: () => dismiss(items) },
      ]}
    >
      {items.length > 1 && (
        <Text fontWeight="600">
          {items.length} edits could not be saved and are set aside in this browser.
        </Text>
      )}
      <Box maxH="6.5em" overflowY="auto" tabIndex={items.length > 1 ? 0 : undefined}>
        {items.map(({ id, says, why }) => (
          <Text key={id}>
            <Text as="span" fontWeight="600">
              Set aside: {says}
            </Text>{' '}
            {why}
          </Text>
        ))}
      </Box>
    </Notice>
  ));
};

/** What must be said above the view: a server that is away, a command that was refused, an edit that was set aside. */
export const Notices = () => {
  const session = useRigSession();
  const save = useRig((state) => state.save);
  const isKept = useRig((state) => state.isKept);
  const refusal = useRig((state) => state.refusal);
  return (
    <>
      {save.state === 'waiting' && <Notice>{save.says}</Notice>}
      {save.state === 'gone' && (
        <Notice>
          This rig has been taken off the shelf. What you see can still be read, and edits stay in
          this browser until it is put back.
        </Notice>
      )}
      {!isKept && (save.state === 'waiting' || save.state === 'gone') && (
        <Notice>
          This browser keeps nothing (a private window, or its storage is full). Keep this page
          open.
        </Notice>
      )}
      {refusal !== null && (
        <Notice actions={[{ name: 'Dismiss', act: session.dismissRefusal }]}>{refusal}</Notice>
      )}
      <SetAsideNotices />
    </>
  );
};
