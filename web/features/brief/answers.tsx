'use client';

import { Checkbox, Field, Input, NativeSelect } from '@chakra-ui/react';
import { cleanLine, type Answers } from '@echo-loom/core';
import { useController, useFormContext, type FieldPath } from 'react-hook-form';
import { NOT_SEEN } from './words';

/** Fields of the new-rig form: each an answer by its path. */

interface AnswerProps {
  readonly name: FieldPath<Answers>;
  readonly label: string;
}

const useProblem = (name: FieldPath<Answers>): string | undefined =>
  useController<Answers>({ name }).fieldState.error?.message;

export const TextAnswer = ({ name, label }: AnswerProps) => {
  const { register } = useFormContext<Answers>();
  const problem = useProblem(name);
  return (
    <Field.Root
      invalid={problem !== undefined}
      orientation="horizontal"
      justifyContent="space-between"
      gap="3"
    >
      <Field.Label fontSize="sm" fontWeight="400" flex="1">
        {label}
      </Field.Label>
      <Input
        size="sm"
        width="280px"
        maxLength={80}
        autoComplete="off"
        {...register(name, { setValueAs: (text: string) => cleanLine(text) })}
      />
    </Field.Root>
  );
};

/** A number; left empty it is unknown where that may be. */
export const NumberAnswer = ({
  name,
  label,
  mayBeNone = false,
}: AnswerProps & { readonly mayBeNone?: boolean }) => {
  const { register } = useFormContext<Answers>();
  const problem = useProblem(name);
  const read = (text: string | number | null): number | null =>
    text === '' || text === null ? (mayBeNone ? null : Number.NaN) : Number(text);
  return (
    <Field.Root
      invalid={problem !== undefined}
      orientation="horizontal"
      justifyContent="space-between"
      gap="3"
    >
      <Field.Label fontSize="sm" fontWeight="400" flex="1">
        {label}
      </Field.Label>
      <Input
        size="sm"
        width="120px"
        textAlign="end"
        className="figures"
        inputMode="decimal"
        {...register(name, { setValueAs: read })}
      />
    </Field.Root>
  );
};

interface ChooseProps extends AnswerProps {
  readonly options: readonly { readonly value: string; readonly label: string }[];
  /** Without its label beside it; the label is still said aloud */
  readonly isBare?: boolean;
  /** Whether one of the options means nothing at all */
  readonly mayBeNone?: boolean;
  /** What it is called that nothing is chosen, where that may be */
  readonly unanswered?: string;
}

export const ChooseAnswer = ({
  name,
  label,
  options,
  isBare = false,
  mayBeNone = false,
  unanswered,
}: ChooseProps) => {
  const {
    field: { ref, value, onBlur, onChange },
  } = useController<Answers>({ name });
  return (
    <Field.Root
      orientation="horizontal"
      justifyContent="space-between"
      gap="3"
      width={isBare ? 'auto' : '100%'}
    >
      <Field.Label fontSize="sm" fontWeight="400" flex="1" srOnly={isBare}>
        {label}
      </Field.Label>
      <NativeSelect.Root size="sm" width={isBare ? '165px' : 'min(280px, 60vw)'}>
        <NativeSelect.Field
          ref={ref}
          name={name}
          onBlur={onBlur}
          value={value === undefined ? '' : value === null ? NOT_SEEN : String(value)}
          onChange={({ target }) =>
            onChange(
              target.value === ''
                ? undefined
                : mayBeNone && target.value === NOT_SEEN
                  ? null
                  : target.value,
            )
          }
        >
          {unanswered !== undefined && <option value="">{unanswered}</option>}
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
    </Field.Root>
  );
};

/** One of several that may be ticked together. */
export const CheckAnswer = ({ name, value, label }: AnswerProps & { readonly value: string }) => {
  const {
    field: { value: all, onBlur, onChange },
  } = useController<Answers>({ name });
  const chosen: readonly unknown[] = Array.isArray(all) ? all : [];
  return (
    <Checkbox.Root
      size="sm"
      checked={chosen.includes(value)}
      onCheckedChange={({ checked }) =>
        onChange(checked === true ? [...chosen, value] : chosen.filter((other) => other !== value))
      }
    >
      <Checkbox.HiddenInput onBlur={onBlur} />
      <Checkbox.Control />
      <Checkbox.Label fontWeight="400">{label}</Checkbox.Label>
    </Checkbox.Root>
  );
};
