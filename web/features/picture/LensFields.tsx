import { Flex } from '@chakra-ui/react';
import { type Lens, OWNERSHIPS } from '@echo-loom/core';
import { oneOf } from '@/features/brief/words';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';

type Change = Partial<Omit<Lens, 'order' | 'thingId'>>;

/** The figures of one lens, each to be typed over. */
export const LensFields = ({
  lens,
  onChange,
}: {
  lens: Lens;
  onChange: (change: Change) => void;
}) => {
  const { focal } = lens;
  const number = (
    label: string,
    unit: string,
    value: number,
    [min, max, step]: readonly [number, number, number],
    put: (value: number) => Change,
  ) => (
    <NumberField
      label={label}
      unit={unit}
      value={value}
      min={min}
      max={max}
      step={step}
      onCommit={(typed) => typed !== null && onChange(put(typed))}
    />
  );
  return (
    <Flex direction="column" gap="1.5" mt="1.5">
      <NameField label="Name" value={lens.name} onCommit={(name) => onChange({ name })} />
      {number('Shortest focal length', 'mm', focal.shortestMm, [0.5, 5000, 1], (shortestMm) => ({
        focal: { shortestMm, longestMm: Math.max(shortestMm, focal.longestMm) },
      }))}
      {number('Longest focal length', 'mm', focal.longestMm, [0.5, 5000, 1], (longestMm) => ({
        focal: { shortestMm: Math.min(longestMm, focal.shortestMm), longestMm },
      }))}
      {number('Widest aperture, f/', '', lens.widest, [0.5, 64, 0.1], (widest) => ({ widest }))}
      {number('Focuses from', 'm', lens.nearestM, [0, 100, 0.05], (nearestM) => ({ nearestM }))}
      {number('Mass', 'kg', lens.massKg, [0.01, 100, 0.05], (massKg) => ({ massKg }))}
      <NameField label="Mount" value={lens.mount} onCommit={(mount) => onChange({ mount })} />
      <NumberField
        label="Price"
        unit=""
        mayBeUnknown
        value={lens.price}
        min={0}
        max={1e9}
        step={10}
        onCommit={(price) => onChange({ price })}
      />
      <ChoiceField
        label="How it is had"
        value={lens.ownership}
        options={OWNERSHIPS.map((value) => ({ value, label: value }))}
        onChoose={(value) => onChange({ ownership: oneOf(OWNERSHIPS, value) ?? lens.ownership })}
      />
    </Flex>
  );
};
