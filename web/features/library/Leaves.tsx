'use client';

import { Box, Button, Checkbox, Field as Labelled, Flex, Input, Text } from '@chakra-ui/react';
import { type Field, leftOut, markStated, typed, type Words } from '@echo-loom/core';
import { useState } from 'react';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { useEditing, useWrong } from './editing';

export type Of<Is extends Field['is']> = Extract<Field, { readonly is: Is }>;

/** What a field is, and where a data sheet has it. */
export const Hint = ({ words: { says, sheet } }: { readonly words: Words }) =>
  says || sheet ? (
    <Text fontSize="xs" color="ink.soft">
      {says}
      {sheet ? ` Data sheet: ${sheet}.` : ''}
    </Text>
  ) : null;

export const Wrong = ({ field }: { readonly field: Field }) => {
  const says = useWrong(field.path);
  return says ? (
    <Text fontSize="xs" color="level.stop" role="alert">
      {says}
    </Text>
  ) : null;
};

export const LeaveOut = ({ field }: { readonly field: Field }) => {
  const { change } = useEditing();
  return (
    <Button
      size="2xs"
      variant="ghost"
      onClick={() => change((draft) => leftOut(draft, field.path))}
      aria-label={`Leave out: ${field.words.label}`}
    >
      Leave out
    </Button>
  );
};

const spreadText = (spread: readonly [number, number] | null): string =>
  spread ? `, ${spread[0]} to ${spread[1]}` : '';

export const NumberEdit = ({ field }: { readonly field: Of<'number'> }) => {
  const { change } = useEditing();
  const { path, words, isStated } = field;
  return (
    <Box>
      <NumberField
        label={words.label}
        unit={words.unit ?? ''}
        value={field.value}
        mayBeUnknown={field.mayBeUnknown}
        isWhole={field.isWhole}
        min={field.least ?? -Infinity}
        max={field.most ?? Infinity}
        onCommit={(value) => change((draft) => typed(draft, path, value))}
      />
      <Flex align="center" gap="2" wrap="wrap">
        {isStated !== null && field.value !== null && (
          <Checkbox.Root
            size="sm"
            checked={isStated}
            onCheckedChange={({ checked }) =>
              change((draft) => markStated(draft, path, checked === true))
            }
          >
            <Checkbox.HiddenInput />
            <Checkbox.Control />
            <Checkbox.Label fontSize="xs">
              {isStated ? 'from the data sheet' : `typical${spreadText(field.spread)}`}
              <Box as="span" srOnly>
                : {words.label}
              </Box>
            </Checkbox.Label>
          </Checkbox.Root>
        )}
        {field.isOptional && <LeaveOut field={field} />}
      </Flex>
    </Box>
  );
};

export const TextEdit = ({ field }: { readonly field: Of<'text'> }) => {
  const { change } = useEditing();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft !== null && draft !== field.value)
      change((model) => typed(model, field.path, draft.trim()));
    setDraft(null);
  };
  return (
    <Labelled.Root orientation="horizontal" justifyContent="space-between" gap="3">
      <Labelled.Label fontSize="sm" fontWeight="400" flex="1">
        {field.words.label}
      </Labelled.Label>
      <Input
        size="sm"
        maxW="22rem"
        maxLength={field.mostLetters}
        value={draft ?? field.value}
        onChange={({ target }) => setDraft(target.value)}
        onBlur={commit}
        onKeyDown={({ key }) => {
          if (key === 'Enter') commit();
          if (key === 'Escape') setDraft(null);
        }}
      />
      {field.isOptional && <LeaveOut field={field} />}
    </Labelled.Root>
  );
};

export const ChoiceEdit = ({ field }: { readonly field: Of<'choice'> }) => {
  const { change } = useEditing();
  const at = field.options.findIndex(({ value }) => value === field.value);
  const nothing = { value: '-1', label: String(field.value ?? '') || 'choose' };
  return (
    <Box>
      <ChoiceField
        label={field.words.label}
        value={String(at)}
        options={[
          ...(at < 0 ? [nothing] : []),
          ...field.options.map(({ label }, index) => ({ value: String(index), label })),
        ]}
        onChoose={(index) => {
          const chosen = field.options[Number(index)];
          if (chosen) change((draft) => typed(draft, field.path, chosen.value));
        }}
      />
      {field.isOptional && <LeaveOut field={field} />}
    </Box>
  );
};

export const SeveralEdit = ({ field }: { readonly field: Of<'several'> }) => {
  const { change } = useEditing();
  const toggle = (value: unknown) =>
    change((draft) =>
      typed(
        draft,
        field.path,
        field.value.includes(value)
          ? field.value.filter((one) => one !== value)
          : [...field.value, value],
      ),
    );
  return (
    <Flex as="fieldset" wrap="wrap" gap="3" border="none" p="0">
      <Text as="legend" fontSize="sm" float="left" pe="2">
        {field.words.label}
      </Text>
      {field.options.map(({ value, label }) => (
        <Checkbox.Root
          key={String(value)}
          size="sm"
          checked={field.value.includes(value)}
          onCheckedChange={() => toggle(value)}
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Checkbox.Label fontSize="sm">{label}</Checkbox.Label>
        </Checkbox.Root>
      ))}
    </Flex>
  );
};
