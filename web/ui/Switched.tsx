import { Switch } from '@chakra-ui/react';

interface Props {
  readonly label: string;
  readonly isOn: boolean;
  readonly onTurn: (isOn: boolean) => void;
}

/** Something that is in or out, on or off. */
export const Switched = ({ label, isOn, onTurn }: Props) => (
  <Switch.Root
    checked={isOn}
    onCheckedChange={({ checked }) => onTurn(checked)}
    justifyContent="space-between"
    width="full"
    minH="8"
  >
    <Switch.Label fontSize="sm" fontWeight="400">
      {label}
    </Switch.Label>
    <Switch.HiddenInput />
    <Switch.Control _checked={{ bg: 'madder' }}>
      <Switch.Thumb />
    </Switch.Control>
  </Switch.Root>
);
