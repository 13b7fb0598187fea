'use client';

import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { Flex } from '@chakra-ui/react';
import { type Aim, choiceSetting, entry, numberSetting, STRAIGHT } from '@echo-loom/core';
import type { MicrophoneRow } from './rows';

/** Distance, pattern and aim of one microphone, each an edit. */
export const Aiming = ({ row: { microphone, id } }: { readonly row: MicrophoneRow }) => {
  const analysis = useRig((state) => state.analysis);
  const { run } = useRigSession();
  const device = analysis.device(microphone.node.device);
  const source = microphone.node.port.emits?.sound;
  if (source?.type !== 'microphone') return null;
  const distance = entry(device.model.controls, source.distanceControl);
  const patternControl = typeof source.pattern === 'object' ? source.pattern.control : null;
  const patterns =
    patternControl === null ? undefined : entry(device.model.controls, patternControl);
  const aim = device.aim ?? STRAIGHT;
  const turn = (changes: Partial<Aim>) =>
    run({ type: 'placeDevice', deviceId: id, at: device.at, aim: { ...aim, ...changes } });
  return (
    <Flex direction="column" gap="1.5" mt="2">
      {distance?.type === 'amount' && (
        <NumberField
          label="From the mouth"
          unit={distance.unit}
          min={distance.min}
          max={distance.max}
          step={distance.step}
          value={numberSetting(device, source.distanceControl) ?? null}
          onCommit={(value) =>
            value !== null &&
            run({ type: 'setControl', deviceId: id, control: source.distanceControl, value })
          }
        />
      )}
      {patternControl !== null && patterns?.type === 'choice' && (
        <ChoiceField
          label="Pattern"
          value={choiceSetting(device, patternControl) ?? ''}
          options={patterns.options}
          onChoose={(value) =>
            run({ type: 'setControl', deviceId: id, control: patternControl, value })
          }
        />
      )}
      {device.at === null && (
        <>
          <NumberField
            label="Beside straight ahead"
            hint=" clockwise, seen from above"
            unit="°"
            min={-180}
            max={180}
            step={5}
            value={aim.bearingDeg}
            onCommit={(value) => value !== null && turn({ bearingDeg: value })}
          />
          <NumberField
            label="Points past the mouth"
            unit="°"
            min={-180}
            max={180}
            step={5}
            value={aim.offAxisDeg}
            onCommit={(value) => value !== null && turn({ offAxisDeg: value })}
          />
        </>
      )}
    </Flex>
  );
};
