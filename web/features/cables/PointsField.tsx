'use client';

import { Field, Input } from '@chakra-ui/react';
import type { PlaceInRoom } from '@echo-loom/core';
import { useState } from 'react';
import { pointsText, readPoints } from './points';

interface Props {
  readonly label: string;
  readonly points: readonly PlaceInRoom[];
  readonly onCommit: (points: PlaceInRoom[]) => void;
}

/** The points of a way in one line. Takes effect on Enter or when left; Escape puts back what was there. */
export const PointsField = ({ label, points, onCommit }: Props) => {
  const [draft, setDraft] = useState<string | null>(null);
  const text = draft ?? pointsText(points);
  const read = readPoints(text);
  const problem = draft !== null && 'problem' in read ? read.problem : null;
  const commit = () => {
    if (draft === null || 'problem' in read) return;
    setDraft(null);
    if (pointsText(read.points) !== pointsText(points)) onCommit(read.points);
  };
  return (
    <Field.Root invalid={problem !== null}>
      <Field.Label srOnly>{label}</Field.Label>
      <Input
        className="figures"
        size="xs"
        value={text}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => ('problem' in read ? setDraft(null) : commit())}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setDraft(null);
        }}
      />
      {problem && <Field.ErrorText fontSize="xs">{problem}</Field.ErrorText>}
    </Field.Root>
  );
};
