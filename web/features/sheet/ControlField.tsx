import type { Control, ControlValue } from '@echo-loom/core';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { Switched } from '@/ui/Switched';

interface Props {
  readonly control: Control;
  readonly value: ControlValue | undefined;
  readonly onSet: (value: ControlValue) => void;
}

/** One knob, switch or choice of a device. */
export const ControlField = ({ control, value, onSet }: Props) => {
  const setNumber = (next: number | null) => {
    if (next !== null) onSet(next);
  };
  switch (control.type) {
    case 'gain':
      return (
        <NumberField
          label={control.label}
          value={typeof value === 'number' ? value : null}
          unit="dB"
          min={control.minDb}
          max={control.maxDb}
          step={control.stepDb}
          hint={` ${control.minDb} to ${control.maxDb}`}
          onCommit={setNumber}
        />
      );
    case 'amount':
      return (
        <NumberField
          label={control.label}
          value={typeof value === 'number' ? value : null}
          unit={control.unit}
          min={control.min}
          max={control.max}
          step={control.step}
          onCommit={setNumber}
        />
      );
    case 'choice':
      return (
        <ChoiceField
          label={control.label}
          value={String(value)}
          options={control.options}
          onChoose={onSet}
        />
      );
    case 'switch':
      return <Switched label={control.label} isOn={value === true} onTurn={onSet} />;
  }
};
