'use client';

import { Button, Flex } from '@chakra-ui/react';
import { type BuiltLine, entry, type Found, type Rig } from '@echo-loom/core';
import { useState } from 'react';
import { ControlField } from '@/features/sheet/ControlField';
import { NumberField } from '@/ui/NumberField';

interface Props {
  readonly rig: Rig;
  readonly line: BuiltLine;
  readonly onFound: (found: Found) => void;
  readonly onCancel: () => void;
}

const metres = (label: string, value: number, onCommit: (value: number) => void, min = -1000) => (
  <NumberField
    label={label}
    unit="m"
    value={value}
    min={min}
    max={5000}
    step={0.05}
    onCommit={(next) => next !== null && onCommit(next)}
  />
);

/** What was found where it is not as planned: typed, and then noted beside the plan. */
export const FoundOtherwise = ({ rig, line, onFound, onCancel }: Props) => {
  const [found, setFound] = useState<Found>(line.toTick);
  return (
    <Flex direction="column" gap="1.5" py="1.5" maxW="26rem">
      <Fields rig={rig} found={found} onChange={setFound} />
      <Flex gap="2">
        <Button size="xs" bg="madder" color="madder.ink" onClick={() => onFound(found)}>
          Note it so
        </Button>
        <Button size="xs" variant="outline" onClick={onCancel}>
          Cancel
        </Button>
      </Flex>
    </Flex>
  );
};

const Fields = ({
  rig,
  found,
  onChange,
}: {
  readonly rig: Rig;
  readonly found: Found;
  readonly onChange: (found: Found) => void;
}) => {
  switch (found.part) {
    case 'settings': {
      const controls = entry(rig.devices, found.deviceId)?.model.controls ?? {};
      const control = entry(controls, found.control);
      return (
        control && (
          <ControlField
            control={control}
            value={found.found}
            onSet={(value) => onChange({ ...found, found: value })}
          />
        )
      );
    }
    case 'cables': {
      const { cable } = found.found;
      return metres(
        'Length that was found',
        cable.lengthM,
        (lengthM) =>
          onChange({ ...found, found: { ...found.found, cable: { ...cable, lengthM } } }),
        0,
      );
    }
    case 'supports': {
      const spot = found.found;
      if (!spot) return null;
      const set = (part: Partial<typeof spot>) =>
        onChange({ ...found, found: { ...spot, ...part } });
      return (
        <>
          {metres('x that was found', spot.xM, (xM) => set({ xM }))}
          {metres('y that was found', spot.yM, (yM) => set({ yM }))}
        </>
      );
    }
    case 'places': {
      const placed = found.found;
      const { at, on, heightM, aim } = placed;
      const set = (part: Partial<typeof placed>) =>
        onChange({ ...found, found: { ...placed, ...part } });
      return (
        <>
          {at && metres('x that was found', at.xM, (xM) => set({ at: { ...at, xM } }))}
          {at && metres('y that was found', at.yM, (yM) => set({ at: { ...at, yM } }))}
          {on && metres('x on it that was found', on.xM, (xM) => set({ on: { ...on, xM } }))}
          {on && metres('y on it that was found', on.yM, (yM) => set({ on: { ...on, yM } }))}
          {heightM !== null &&
            metres('Height that was found', heightM, (next) => set({ heightM: next }), 0)}
          {aim && (
            <NumberField
              label="Off axis that was found"
              unit="°"
              value={aim.offAxisDeg}
              min={-360}
              max={360}
              onCommit={(offAxisDeg) => offAxisDeg !== null && set({ aim: { ...aim, offAxisDeg } })}
            />
          )}
        </>
      );
    }
  }
};
