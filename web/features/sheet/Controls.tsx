'use client';

import { Flex } from '@chakra-ui/react';
import { entry, settingOf } from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ControlField } from './ControlField';

/** Everything a person can turn on a device. */
export const Controls = ({ deviceId }: { readonly deviceId: string }) => {
  const { run } = useRigSession();
  const device = useRig((state) => entry(state.rig.devices, deviceId));
  if (!device) return null;
  return (
    <Flex direction="column" gap="1.5">
      {Object.entries(device.model.controls)
        .sort(([a], [b]) => a.localeCompare(b, 'en', { numeric: true }))
        .map(([id, control]) => (
          <ControlField
            key={id}
            control={control}
            value={settingOf(device, id)}
            onSet={(value) => run({ type: 'setControl', deviceId, control: id, value })}
          />
        ))}
    </Flex>
  );
};
