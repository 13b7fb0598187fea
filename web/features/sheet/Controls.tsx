'use client';

import { Flex } from '@chakra-ui/react';
import { entry, settingOf, type Control, type ControlValue } from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { Switched } from '@/ui/Switched';

/** Everything a person can turn on a device. */
export const Controls = ({ deviceId }: { readonly deviceId: string }) => {
  const { run } = useRigSession();
  const device = useRig((state) => entry(state.rig.devices, deviceId));
  if (!device) return null;
  const control = (id: string, control: Control) => {
    const value = settingOf(device, id);
    const set = (next: ControlValue | null) =>
      next !== null && run({ type: 'setControl', deviceId, control: id, value: next });
    switch (control.type) {
      case 'gain':
        return (
          <NumberField
            key={id}
            label={control.label}
            value={typeof value === 'number' ? value : null}
            unit="dB"
            min={control.minDb}
            max={control.maxDb}
            step={control.stepDb}
            hint={` ${control.minDb} to ${control.maxDb}`}
            onCommit={set}
          />
        );
      case 'amount':
        return (
          <NumberField
            key={id}
            label={control.label}
            value={typeof value === 'number' ? value : null}
            unit={control.unit}
            min={control.min}
            max={control.max}
            step={control.step}
            onCommit={set}
          />
        );
      case 'choice':
        return (
          <ChoiceField
            key={id}
            label={control.label}
            value={String(value)}
            options={control.options}
            onChoose={set}
          />
        );
      case 'switch':
        return <Switched key={id} label={control.label} isOn={value === true} onTurn={set} />;
    }
  };
  return (
    <Flex direction="column" gap="1.5">
      {Object.entries(device.model.controls)
        .sort(([a], [b]) => a.localeCompare(b, 'en', { numeric: true }))
        .map(([id, item]) => control(id, item))}
    </Flex>
  );
};
