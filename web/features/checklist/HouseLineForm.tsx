'use client';

import { Box, Button, Checkbox, Field, Flex, Input } from '@chakra-ui/react';
import { cleanLine, freeId, type Phase, PHASES } from '@echo-loom/core';
import { useEffect, useRef, useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { PHASE_TITLES } from './titles';

const isPhase = (value: string): value is Phase => PHASES.some((phase) => phase === value);

const EMPTY = { what: '', where: '', who: '', why: '' };
type Text = keyof typeof EMPTY;
const FIELDS: readonly (readonly [Text, string, number])[] = [
  ['what', 'What is done', 80],
  ['where', 'Where', 120],
  ['who', 'Who', 80],
  ['why', 'Why', 300],
];

/** A line that the rig does not know of: the kettle, the door, the cat. */
export const HouseLineForm = ({ onDone }: { readonly onDone: () => void }) => {
  const rig = useRig((state) => state.rig);
  const { run } = useRigSession();
  const [text, setText] = useState(EMPTY);
  const [phase, setPhase] = useState<Phase>('set up');
  const [isMust, setMust] = useState(false);
  const first = useRef<HTMLInputElement>(null);
  useEffect(() => first.current?.focus(), []);
  const what = cleanLine(text.what);
  const add = () => {
    if (what === '') return;
    const isAdded = run({
      type: 'addHouseLine',
      houseLineId: freeId(what, rig.houseLines),
      houseLine: {
        phase,
        what,
        where: cleanLine(text.where, 120),
        who: cleanLine(text.who),
        why: cleanLine(text.why, 300),
        isMust,
      },
    });
    if (isAdded) onDone();
  };
  return (
    <Box
      as="form"
      aria-label="A line of the house"
      maxW="36rem"
      mb="4"
      p="3"
      borderWidth="1px"
      borderColor="rule"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Flex direction="column" gap="2">
        <ChoiceField
          label="List"
          value={phase}
          width="290px"
          options={PHASES.map((value) => ({ value, label: PHASE_TITLES[value] }))}
          onChoose={(value) => isPhase(value) && setPhase(value)}
        />
        {FIELDS.map(([key, label, limit]) => (
          <Field.Root key={key} orientation="horizontal" justifyContent="space-between">
            <Field.Label fontSize="sm" fontWeight="400">
              {label}
            </Field.Label>
            <Input
              ref={key === 'what' ? first : undefined}
              size="sm"
              width="18rem"
              maxLength={limit}
              value={text[key]}
              onChange={({ target }) => setText({ ...text, [key]: target.value })}
            />
          </Field.Root>
        ))}
        <Checkbox.Root
          size="sm"
          checked={isMust}
          onCheckedChange={({ checked }) => setMust(checked === true)}
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Checkbox.Label>Nobody goes live while it is open</Checkbox.Label>
        </Checkbox.Root>
        <Flex gap="2">
          <Button type="submit" size="sm" disabled={what === ''}>
            Add it
          </Button>
          <Button type="button" size="sm" variant="ghost" onClick={onDone}>
            Cancel
          </Button>
        </Flex>
      </Flex>
    </Box>
  );
};
