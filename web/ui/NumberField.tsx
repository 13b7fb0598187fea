'use client';

import { Field, Flex, Input, Text } from '@chakra-ui/react';
import { useState, type KeyboardEvent } from 'react';

interface Props {
  readonly label: string;
  /** null: not known */
  readonly value: number | null;
  readonly unit: string;
  readonly min?: number;
  readonly max?: number;
  /** What the arrow keys add or take */
  readonly step?: number;
  /** Whether only whole numbers are taken */
  readonly isWhole?: boolean;
  /** Whether the field may be left empty, for a figure that is not known */
  readonly mayBeUnknown?: boolean;
  readonly hint?: string;
  /** Written where the field is empty */
  readonly whenEmpty?: string;
  /** In the cell of a table: the label is heard and not seen */
  readonly inCell?: boolean;
  readonly onCommit: (value: number | null) => void;
}

const written = (value: number | null): string =>
  value === null ? '' : String(value).replace('-', '−');
/** @returns undefined for text that is not a number */
const read = (text: string): number | null | undefined => {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  if (plain === '') return null;
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : undefined;
};

/**
 * A number with its unit. Takes effect on Enter or when the field is left; arrows step; Escape puts
 * back what was there.
 */
export const NumberField = ({
  label,
  value,
  unit,
  min = -Infinity,
  max = Infinity,
  step = 1,
  mayBeUnknown = false,
  isWhole = false,
  hint,
  inCell = false,
  whenEmpty = inCell ? '?' : 'unknown',
  onCommit,
}: Props) => {
  const [draft, setDraft] = useState<string | null>(null);
  const text = draft ?? written(value);
  const number = read(text);
  const problem =
    number === undefined
      ? 'This is not a number.'
      : number === null
        ? mayBeUnknown
          ? null
          : 'A number is needed here.'
        : isWhole && !Number.isInteger(number)
          ? 'A whole number is needed here.'
          : number < min
            ? `At least ${written(min)} ${unit}.`
            : number > max
              ? `At most ${written(max)} ${unit}.`
              : null;

  const commit = () => {
    if (problem || number === undefined) return;
    setDraft(null);
    if (number !== value) onCommit(number);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') commit();
    if (event.key === 'Escape') setDraft(null);
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const next = Math.min(
      max,
      Math.max(min, Number(((number ?? 0) + (event.key === 'ArrowUp' ? step : -step)).toFixed(6))),
    );
    setDraft(null);
    if (next !== value) onCommit(next);
  };

  return (
    <Field.Root
      invalid={draft !== null && problem !== null}
      orientation="horizontal"
      justifyContent="space-between"
      gap={inCell ? '0' : '3'}
    >
      <Field.Label fontSize="sm" flex="1" fontWeight="400" srOnly={inCell}>
        {label}
        {hint && (
          <Text as="span" color="ink.soft" fontSize="xs">
            {hint}
          </Text>
        )}
      </Field.Label>
      <Flex direction="column" align="end">
        <Flex align="center" gap="1.5">
          <Input
            className="figures"
            size={inCell ? 'xs' : 'sm'}
            width={inCell ? '3.5rem' : '5.375rem'}
            px={inCell ? '1.5' : undefined}
            textAlign="end"
            inputMode="decimal"
            placeholder={whenEmpty}
            value={text}
            onChange={(event) => setDraft(event.target.value)}
            onBlur={() => (problem ? setDraft(null) : commit())}
            onKeyDown={onKeyDown}
          />
          <Text fontSize="xs" color="ink.soft" width={inCell ? undefined : '2.125rem'}>
            {unit}
          </Text>
        </Flex>
        {draft !== null && problem && <Field.ErrorText fontSize="xs">{problem}</Field.ErrorText>}
      </Flex>
    </Field.Root>
  );
};
