'use client';

import { Input } from '@chakra-ui/react';
import { useState } from 'react';

/** A text that takes effect when it is left; one that cannot be taken stays, and is said. */
export const CellField = ({
  label,
  value,
  width,
  limit,
  grows = false,
  onCommit,
}: {
  readonly label: string;
  readonly value: string;
  readonly width: string;
  readonly limit: number;
  /** Takes what room is left */
  readonly grows?: boolean;
  /** @returns whether it was taken */
  readonly onCommit: (text: string) => boolean;
}) => {
  const [draft, setDraft] = useState<string | null>(null);
  const [isWrong, setWrong] = useState(false);
  const commit = () => {
    if (draft === null || draft === value) {
      setDraft(null);
      return;
    }
    const isTaken = onCommit(draft);
    setWrong(!isTaken);
    if (isTaken) setDraft(null);
  };
  return (
    <Input
      size="xs"
      aria-label={label}
      aria-invalid={isWrong}
      borderColor={isWrong ? 'level.stop' : undefined}
      flex={grows ? '1 1 10rem' : 'none'}
      width={width}
      maxLength={limit}
      value={draft ?? value}
      onChange={({ target }) => setDraft(target.value)}
      onBlur={commit}
      onKeyDown={({ key }) => {
        if (key === 'Enter') commit();
        if (key === 'Escape') {
          setDraft(null);
          setWrong(false);
        }
      }}
    />
  );
};
