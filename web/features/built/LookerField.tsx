'use client';

import { Field, Input } from '@chakra-ui/react';
import { useLooker } from './useLooker';

/** Who does it: the name stands beside what they tick, move and check, and is kept in this browser. */
export const LookerField = ({ label }: { readonly label: string }) => {
  const [looker, setLooker] = useLooker();
  return (
    <Field.Root orientation="horizontal" justifyContent="space-between" gap="3">
      <Field.Label fontSize="sm" fontWeight="400" whiteSpace="nowrap">
        {label}
      </Field.Label>
      <Input
        size="sm"
        width="12rem"
        maxLength={80}
        value={looker}
        onChange={({ target }) => setLooker(target.value)}
      />
    </Field.Root>
  );
};
