'use client';

import { Button, Field, Input } from '@chakra-ui/react';
import { type FormEvent, useRef, useState } from 'react';
import { Modal } from '@/ui/Modal';

interface Props {
  /** Of the rig */
  readonly name: string;
  readonly tags: readonly string[];
  readonly onSubmit: (tags: readonly string[]) => void;
  readonly onClose: () => void;
}

const MOST = 12;
const LONGEST = 30;

/** Words a rig is found by, parted by commas. */
export const TagsDialog = ({ name, tags, onSubmit, onClose }: Props) => {
  const [text, setText] = useState(tags.join(', '));
  const [problem, setProblem] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const words = [...new Set(text.split(',').map((word) => word.trim()))].filter(Boolean);
    const long = words.find((word) => word.length > LONGEST);
    if (long !== undefined) setProblem(`“${long}” is longer than ${LONGEST} letters.`);
    else if (words.length > MOST) setProblem(`At most ${MOST} tags; these are ${words.length}.`);
    else onSubmit(words);
  };
  return (
    <Modal
      open
      onClose={onClose}
      title={`Tags of ${name}`}
      size="sm"
      focusFirst={input}
      footer={
        <>
          <Button variant="outline" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" form="rig-tags" bg="madder" color="madder.ink">
            Save
          </Button>
        </>
      }
    >
      <form id="rig-tags" onSubmit={submit} noValidate>
        <Field.Root invalid={problem !== null}>
          <Field.Label>Tags, parted by commas</Field.Label>
          <Input
            ref={input}
            value={text}
            placeholder="live, on the road"
            autoComplete="off"
            onChange={({ target }) => setText(target.value)}
          />
          <Field.ErrorText>{problem}</Field.ErrorText>
        </Field.Root>
      </form>
    </Modal>
  );
};
