'use client';

import { Field, Textarea } from '@chakra-ui/react';
import { cleanText } from '@echo-loom/core';
import { useState } from 'react';

interface Props {
  readonly notes: string;
  readonly onCommit: (notes: string) => void;
}

/** Free words about the rig; kept when the field is left. */
export const NotesField = ({ notes, onCommit }: Props) => {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <Field.Root mt="3">
      <Field.Label fontSize="sm">Notes</Field.Label>
      <Textarea
        rows={5}
        maxLength={20_000}
        value={draft ?? notes}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          const text = draft === null ? notes : cleanText(draft);
          if (text !== notes) onCommit(text);
          setDraft(null);
        }}
      />
    </Field.Root>
  );
};
