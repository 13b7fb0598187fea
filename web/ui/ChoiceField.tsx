'use client';

import { Field, NativeSelect } from '@chakra-ui/react';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  readonly onChoose: (value: string) => void;
  /** At the usual size of text, with which it grows; in px */
  readonly width?: string;
  /** In the cell of a table: the label is heard and not seen */
  readonly inCell?: boolean;
}

/** The usual size of text. @unit px */
const REM_PX = 16;

/** One of several, by the browser's own list: works with every keyboard and on every tablet. */
export const ChoiceField = ({
  label,
  value,
  options,
  onChoose,
  width = '190px',
  inCell = false,
}: Props) => (
  <Field.Root orientation="horizontal" justifyContent="space-between" gap={inCell ? '0' : '3'}>
    <Field.Label fontSize="sm" flex="1" fontWeight="400" srOnly={inCell}>
      {label}
    </Field.Label>
    <NativeSelect.Root size={inCell ? 'xs' : 'sm'} width={`${parseFloat(width) / REM_PX}rem`}>
      <NativeSelect.Field value={value} onChange={(event) => onChoose(event.target.value)}>
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
