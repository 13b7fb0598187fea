'use client';

import { Field, Input } from '@chakra-ui/react';
import { cleanLine } from '@echo-loom/core';
import { useState } from 'react';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (name: string) => void;
  readonly hideLabel?: boolean;
  /** Whether it may be left empty, for what has no name */
  readonly mayBeEmpty?: boolean;
}

/**
 * A name that can be typed over. Takes effect on Enter or when the field is left; an empty one puts back what was
 * there. What is pasted becomes one line: a tab from a spreadsheet is a space.
 */
export const NameField = ({
  label,
  value,
  onCommit,
  hideLabel = false,
  mayBeEmpty = false,
}: Props) => {
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft === null) return;
    const name = cleanLine(draft);
    setDraft(null);
    if ((name || mayBeEmpty) && name !== value) onCommit(name);
  };
  return (
    <Field.Root>
      <Field.Label fontSize="sm" srOnly={hideLabel}>
        {label}
      </Field.Label>
      <Input
        size="sm"
        maxLength={80}
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setDraft(null);
        }}
      />
    </Field.Root>
  );
};
