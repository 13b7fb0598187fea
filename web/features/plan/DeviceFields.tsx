'use client';

import { Text } from '@chakra-ui/react';
import { type Analysis, bodyOf, entry, inOrder } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

/** What a device stands on, how high, and what is typical of its body. */
export const DeviceFields = ({
  analysis,
  id,
}: {
  readonly analysis: Analysis;
  readonly id: string;
}) => {
  const { run } = useRigSession();
  const device = entry(analysis.rig.devices, id);
  if (!device) return null;
  const { on, at, heightM, model } = device;
  const body = bodyOf(model);
  return (
    <>
      <ChoiceField
        label="Stands on"
        value={on?.supportId ?? ''}
        options={[
          { value: '', label: 'nothing: by itself' },
          ...inOrder(analysis.rig.supports).map(([value, { name }]) => ({ value, label: name })),
        ]}
        onChoose={(supportId) =>
          run({
            type: 'standDevice',
            deviceId: id,
            on: supportId === '' ? null : { supportId, xM: 0, yM: 0, turnDeg: 0, upM: 0 },
          })
        }
      />
      {on ? (
        <NumberField
          label="Over its surface"
          unit="m"
          step={0.05}
          min={-100}
          max={100}
          value={on.upM}
          onCommit={(upM) =>
            upM !== null && run({ type: 'standDevice', deviceId: id, on: { ...on, upM } })
          }
        />
      ) : (
        at && (
          <NumberField
            label="Its middle over the floor"
            unit="m"
            step={0.05}
            min={0}
            max={100}
            mayBeUnknown
            value={heightM}
            onCommit={(value) => run({ type: 'raiseDevice', deviceId: id, heightM: value })}
          />
        )
      )}
      {body && (
        <Text fontSize="xs" color="ink.soft">
          {`${model.body ? 'Stated' : 'Typical of its class'}: ` +
            `${body.widthM} × ${body.depthM} × ${body.heightM} m, ${body.massKg} kg, ${body.heatW} W` +
            `${body.noiseDba === null ? '' : `, ${body.noiseDba} dB(A) at 1 m`}; ${body.mount}.`}
        </Text>
      )}
    </>
  );
};
