'use client';

import { fitsOn, inOrder } from '@echo-loom/core';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';

const NONE = '';

/** Which of the rig's lenses is on a camera. */
export const LensChoice = ({
  deviceId,
  mount,
}: {
  readonly deviceId: string;
  readonly mount: string;
}) => {
  const { run } = useRigSession();
  const rig = useRig((state) => state.rig);
  const { lensId } = rig.devices[deviceId] ?? { lensId: null };
  return (
    <ChoiceField
      label="Lens"
      width="250px"
      value={lensId ?? NONE}
      options={[
        { value: NONE, label: 'Not said' },
        ...inOrder(rig.lenses)
          .filter(([, lens]) => fitsOn(lens, mount))
          .map(([value, lens]) => ({ value, label: `${lens.name}, f/${lens.widest}` })),
      ]}
      onChoose={(id) => run({ type: 'mountLens', deviceId, lensId: id === NONE ? null : id })}
    />
  );
};
