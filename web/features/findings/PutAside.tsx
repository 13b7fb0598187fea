'use client';

import { Button, Flex, Input } from '@chakra-ui/react';
import { type Analysis, asideCommands, type Finding } from '@echo-loom/core';
import { type FormEvent, useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';

interface Props {
  readonly analysis: Analysis;
  /** Every place of the cause */
  readonly findings: readonly Finding[];
  readonly title: string;
}

const MOST_LABEL = 200;

/** Puts a finding aside, once somebody has said why it may stay. */
export const PutAside = ({ analysis, findings, title }: Props) => {
  const { run } = useRigSession();
  const [isOpen, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  if (!isOpen)
    return (
      <Button
        size="xs"
        variant="plain"
        px="1"
        color="ink.soft"
        textDecoration="underline"
        className="screen-only"
        onClick={() => setOpen(true)}
      >
        Put aside…
      </Button>
    );
  const put = (event: FormEvent) => {
    event.preventDefault();
    const why = reason.trim();
    if (why === '') return;
    run({
      type: 'batch',
      label: `Put aside: ${title}`.slice(0, MOST_LABEL),
      commands: asideCommands(analysis, findings, why),
    });
  };
  return (
    <Flex
      as="form"
      gap="2"
      flex="1 1 40ch"
      align="center"
      wrap="wrap"
      onSubmit={put}
      className="screen-only"
    >
      <Input
        size="sm"
        flex="1 1 20ch"
        autoFocus
        maxLength={300}
        aria-label={`Why “${title}” may stay as it is`}
        placeholder="Why may it stay as it is?"
        value={reason}
        onChange={({ target }) => setReason(target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.preventDefault();
          setOpen(false);
        }}
      />
      <Button size="sm" type="submit" variant="outline" disabled={reason.trim() === ''}>
        Put aside
      </Button>
      <Button size="sm" variant="plain" color="ink.soft" onClick={() => setOpen(false)}>
        Not now
      </Button>
    </Flex>
  );
};
