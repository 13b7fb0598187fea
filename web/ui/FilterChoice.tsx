import { NativeSelect } from '@chakra-ui/react';

interface Props {
  /** Heard, not seen: what stands in the field says it */
  readonly label: string;
  /** What stands there while nothing is filtered */
  readonly all: string;
  /** null where nothing is filtered */
  readonly value: string | null;
  readonly options: readonly (readonly [value: string, name: string])[];
  readonly onChoose: (value: string | null) => void;
}

/** One condition of a list: all, or only what is of one kind. */
export const FilterChoice = ({ label, all, value, options, onChoose }: Props) => (
  <NativeSelect.Root size="sm" width="10rem">
    <NativeSelect.Field
      aria-label={label}
      value={value ?? ''}
      onChange={({ target }) => onChoose(target.value === '' ? null : target.value)}
    >
      <option value="">{all}</option>
      {options.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </NativeSelect.Field>
    <NativeSelect.Indicator />
  </NativeSelect.Root>
);
