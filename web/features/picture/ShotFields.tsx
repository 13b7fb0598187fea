'use client';

import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { Flex } from '@chakra-ui/react';
import { entry, type Framed, type ShotPlan } from '@echo-loom/core';
import { LensChoice } from './LensChoice';

const SIDES = [
  { value: 'lens', label: 'Into the lens' },
  { value: 'beside', label: 'Beside the lens' },
  { value: 'below', label: 'Below the lens' },
  { value: 'above', label: 'Above the lens' },
];

/** A first guess of where something beside the lens stands, to be typed over. @unit m */
const USUAL_OFFSET_M = 0.12;

/** The fields of a shot that are not in the table. */
export const ShotFields = ({ framing }: { readonly framing: Framed }) => {
  const { run } = useRigSession();
  const { shot, shotId, camera, device } = framing;
  const change = (changes: Partial<Omit<ShotPlan, 'order'>>) =>
    run({ type: 'changeShot', shotId, shot: changes });
  const look = (side: string) => {
    if (side === 'lens') change({ eyeLine: null });
    else if (side === 'beside' || side === 'below' || side === 'above')
      change({
        eyeLine: {
          offsetM: shot.eyeLine?.offsetM ?? USUAL_OFFSET_M,
          distanceM: shot.eyeLine?.distanceM ?? shot.distanceM ?? 1,
          side,
        },
      });
  };
  const optics = camera
    ? ([
        ['fNumberControl', 'Aperture'],
        ['shutterControl', 'Shutter'],
        ['isoControl', 'Sensitivity'],
      ] as const)
    : [];
  return (
    <Flex direction="column" gap="1.5">
      {camera?.mount !== undefined && <LensChoice deviceId={shot.deviceId} mount={camera.mount} />}
      {shot.wanted === 'two-shot' && (
        <NumberField
          label="Between the two seats"
          unit="m"
          mayBeUnknown
          step={0.1}
          min={0.01}
          max={100}
          value={shot.seatSpacingM}
          onCommit={(seatSpacingM) => change({ seatSpacingM })}
        />
      )}
      <NumberField
        label="The camera can go back to"
        unit="m"
        mayBeUnknown
        step={0.1}
        min={0.01}
        max={1000}
        value={shot.furthestM}
        onCommit={(furthestM) => change({ furthestM })}
      />
      <NumberField
        label="Background behind the subject"
        unit="m"
        mayBeUnknown
        step={0.1}
        min={0.01}
        max={1000}
        value={shot.backgroundM}
        onCommit={(backgroundM) => change({ backgroundM })}
      />
      <NumberField
        label="Light on the subject"
        unit="lux"
        mayBeUnknown
        step={10}
        min={0}
        max={200000}
        value={shot.lightLux}
        onCommit={(lightLux) => change({ lightLux })}
      />
      {optics.map(([key, label]) => {
        const control = camera ? entry(device.model.controls, camera[key]) : undefined;
        const value = camera
          ? (device.settings[camera[key]] ?? (control?.type === 'amount' ? control.initial : null))
          : null;
        return control?.type === 'amount' && camera ? (
          <NumberField
            key={key}
            label={label}
            hint={` ${control.label.replace(/^.*, |^Shutter /, '')}`}
            unit={control.unit}
            min={control.min}
            max={control.max}
            step={control.step}
            value={typeof value === 'number' ? value : null}
            onCommit={(next) =>
              next !== null &&
              run({
                type: 'setControl',
                deviceId: shot.deviceId,
                control: camera[key],
                value: next,
              })
            }
          />
        ) : null;
      })}
      <NumberField
        label="Cut tighter afterwards"
        unit="×"
        step={0.1}
        min={1}
        max={10}
        value={shot.punchIn}
        onCommit={(punchIn) => punchIn !== null && change({ punchIn })}
      />
      <NumberField
        label="Travels on a slider"
        unit="m"
        mayBeUnknown
        whenEmpty="not"
        step={0.1}
        min={0.01}
        max={100}
        value={shot.travelM}
        onCommit={(travelM) => change({ travelM })}
      />
      <ChoiceField
        label="Looks"
        value={shot.eyeLine?.side ?? 'lens'}
        options={SIDES}
        onChoose={look}
      />
      {shot.eyeLine && (
        <>
          <NumberField
            label="Lens to what is looked at"
            unit="cm"
            step={1}
            min={0}
            max={10000}
            value={Number((shot.eyeLine.offsetM * 100).toFixed(2))}
            onCommit={(cm) =>
              cm !== null &&
              shot.eyeLine &&
              change({ eyeLine: { ...shot.eyeLine, offsetM: cm / 100 } })
            }
          />
          <NumberField
            label="Eyes to lens"
            unit="m"
            step={0.1}
            min={0.01}
            max={1000}
            value={shot.eyeLine.distanceM}
            onCommit={(distanceM) =>
              distanceM !== null &&
              shot.eyeLine &&
              change({ eyeLine: { ...shot.eyeLine, distanceM } })
            }
          />
        </>
      )}
    </Flex>
  );
};
