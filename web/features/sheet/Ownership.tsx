'use client';

import { Flex } from '@chakra-ui/react';
import { inOrder, modelRefOf, OWNERSHIPS, priceOf, type Device, type Rig } from '@echo-loom/core';
import { ThingOf } from '@/features/things/ThingOf';
import { oneOf, OWNERSHIP } from '@/features/brief/words';
import { useMoney } from '@/features/rig/Studio';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

interface Props {
  readonly rig: Rig;
  readonly deviceId: string;
  readonly device: Device;
}

const NOTHING = '';

/** How a device is had and for how much, and which of the brief's sights it shows. */
export const Ownership = ({ rig, deviceId, device }: Props) => {
  const { run } = useRigSession();
  const money = useMoney();
  const typical = device.model.typicalPrice;
  const showsPictures = Object.values(device.model.ports).some(({ emits }) => emits?.picture);
  const sights = inOrder(rig.brief?.sights ?? {});
  return (
    <Flex direction="column" gap="1.5">
      <ChoiceField
        label="Had"
        value={device.ownership}
        options={OWNERSHIP}
        onChoose={(value) => {
          const ownership = oneOf(OWNERSHIPS, value);
          if (ownership) run({ type: 'setOwnership', deviceId, ownership, price: device.price });
        }}
      />
      <ThingOf
        of="device"
        itemId={deviceId}
        thingId={device.thingId}
        fits={({ thing }) => thing.is === 'device' && thing.modelRef === modelRefOf(device.model)}
      />
      <NumberField
        label="Price"
        unit=""
        mayBeUnknown
        hint={device.price === null && typical !== null ? ` typical: ${money(typical)}` : undefined}
        value={device.price}
        min={0}
        max={1e9}
        step={10}
        onCommit={(price) =>
          price !== priceOf(device) &&
          run({ type: 'setOwnership', deviceId, ownership: device.ownership, price })
        }
      />
      {showsPictures && sights.length > 0 && (
        <ChoiceField
          label="Shows"
          value={device.sightId ?? NOTHING}
          options={[
            { value: NOTHING, label: 'Whom it belongs to' },
            ...sights.map(([value, { name }]) => ({ value, label: name })),
          ]}
          onChoose={(value) => run({ type: 'showSight', deviceId, sightId: value || null })}
        />
      )}
    </Flex>
  );
};
