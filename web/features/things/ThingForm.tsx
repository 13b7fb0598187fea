'use client';

import { Box, Button, Field, Flex, Input, Text, Textarea } from '@chakra-ui/react';
import {
  blankThing,
  isFieldOf,
  isNeeded,
  type OwnThing,
  readThing,
  type Thing,
  THING_COLUMNS,
  type ThingColumn,
} from '@echo-loom/core';
import { useRef, useState } from 'react';
import { ChoiceField } from '@/ui/ChoiceField';
import { Modal } from '@/ui/Modal';
import { NumberField } from '@/ui/NumberField';

export interface ModelChoice {
  readonly value: string;
  readonly label: string;
}

interface Props {
  /** null for a new one */
  readonly own: OwnThing | null;
  readonly models: readonly ModelChoice[];
  readonly onSave: (thing: Thing) => Promise<boolean>;
  readonly onClose: () => void;
}

const NOTHING = '';

/** As it is put down when its kind is changed: what it can no longer have is left out. */
const asKind = (thing: Thing, is: Thing['is']): Thing => {
  const blank = blankThing(thing.name, is);
  const kept = Object.entries(thing).filter(([field]) => isFieldOf(field as keyof Thing, is));
  return { ...blank, ...Object.fromEntries(kept), is };
};

/** One thing of the studio, field by field; what is missing or wrong is said beside it. */
export const ThingForm = ({ own, models, onSave, onClose }: Props) => {
  const [thing, setThing] = useState<Thing>(own?.thing ?? blankThing('', 'device'));
  const [isAsked, setAsked] = useState(false);
  const [isSaving, setSaving] = useState(false);
  const first = useRef<HTMLInputElement>(null);
  const read = readThing(thing);
  const problemOf = (field: string) =>
    isAsked && !read.ok ? read.faults.find((fault) => fault.field === field)?.says : undefined;
  const set = (field: keyof Thing, value: unknown) =>
    setThing((now) =>
      field === 'is' ? asKind(now, value as Thing['is']) : ({ ...now, [field]: value } as Thing),
    );
  const save = async () => {
    setAsked(true);
    if (!read.ok) return;
    setSaving(true);
    if (await onSave(read.thing)) onClose();
    else setSaving(false);
  };
  const wrong = read.ok ? [] : read.faults;
  return (
    <Modal
      open
      onClose={onClose}
      title={own ? own.thing.name : 'A thing of the studio'}
      size="lg"
      focusFirst={first}
      footer={
        <>
          <Button variant="outline" onClick={onClose}>
            Cancel
          </Button>
          <Button bg="madder" color="madder.ink" loading={isSaving} onClick={() => void save()}>
            {own ? 'Keep it so' : 'Put it on the list'}
          </Button>
        </>
      }
    >
      <Flex direction="column" gap="2">
        {isAsked && wrong.length > 0 && (
          <Text role="alert" fontSize="sm" bg="madder.wash" p="2">
            Not yet: {wrong.map(({ says }) => says).join('; ')}.
          </Text>
        )}
        {THING_COLUMNS.filter(({ field }) => isFieldOf(field, thing.is)).map((column) => (
          <OneField
            key={column.field}
            column={column}
            thing={thing}
            models={models}
            problem={problemOf(column.field)}
            inputRef={column.field === 'name' ? first : undefined}
            onSet={(value) => set(column.field, value)}
          />
        ))}
      </Flex>
    </Modal>
  );
};

const OneField = ({
  column: { field, heading, is, unit, options },
  thing,
  models,
  problem,
  inputRef,
  onSet,
}: {
  readonly column: ThingColumn;
  readonly thing: Thing;
  readonly models: readonly ModelChoice[];
  readonly problem: string | undefined;
  readonly inputRef: React.RefObject<HTMLInputElement | null> | undefined;
  readonly onSet: (value: unknown) => void;
}) => {
  const value = thing[field];
  const needed = isNeeded(field, thing.is);
  const label = `${heading}${needed ? ', needed' : ''}`;
  if (is === 'choice' || field === 'modelRef') {
    const all = field === 'modelRef' ? models : (options ?? []);
    const mayBeNone = field === 'modelRef' || field === 'cableKind';
    return (
      <Box>
        <ChoiceField
          label={label}
          width="320px"
          value={value === null ? NOTHING : String(value)}
          options={mayBeNone ? [{ value: NOTHING, label: 'Choose one' }, ...all] : all}
          onChoose={(chosen) => onSet(chosen === NOTHING ? null : chosen)}
        />
        {problem && (
          <Text fontSize="xs" color="madder">
            {problem}
          </Text>
        )}
      </Box>
    );
  }
  if (is === 'number')
    return (
      <NumberField
        label={label}
        unit={unit ?? ''}
        value={typeof value === 'number' ? value : null}
        min={0}
        isWhole={field === 'count'}
        mayBeUnknown={field !== 'count'}
        onCommit={onSet}
      />
    );
  const text = value === null ? '' : String(value);
  const change = (typed: string) => onSet(typed === '' && field !== 'name' ? null : typed);
  return (
    <Field.Root
      orientation="horizontal"
      justifyContent="space-between"
      gap="3"
      invalid={problem !== undefined}
    >
      <Field.Label fontSize="sm" fontWeight="400" flex="1">
        {label}
      </Field.Label>
      <Box width="20rem" maxW="70%">
        {field === 'notes' ? (
          <Textarea
            size="sm"
            rows={2}
            value={text}
            onChange={({ target }) => change(target.value)}
          />
        ) : (
          <Input
            ref={inputRef}
            size="sm"
            type={is === 'date' ? 'date' : 'text'}
            value={text}
            onChange={({ target }) => change(target.value)}
          />
        )}
        {problem && <Field.ErrorText fontSize="xs">{problem}</Field.ErrorText>}
      </Box>
    </Field.Root>
  );
};
