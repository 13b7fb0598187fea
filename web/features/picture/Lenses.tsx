'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { freeId, inOrder, type Lens, lensText, OWNERSHIPS, USUAL_LENSES } from '@echo-loom/core';
import { useState } from 'react';
import { oneOf } from '@/features/brief/words';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';

type Change = Partial<Omit<Lens, 'order'>>;

/** The figures of one lens, each to be typed over. */
const LensFields = ({ lens, onChange }: { lens: Lens; onChange: (change: Change) => void }) => {
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

/** The lenses of the rig: what each is, and which camera has it. */
export const Lenses = () => {
  const { run } = useRigSession();
  const rig = useRig((state) => state.rig);
  const [open, setOpen] = useState<string | null>(null);
  const lenses = inOrder(rig.lenses);
  const onIt = (lensId: string): string =>
    inOrder(rig.devices)
      .filter(([, device]) => device.lensId === lensId)
      .map(([, { name }]) => `on ${name}`)
      .join(', ') || 'in the cupboard';
  const add = (name: string) => {
    const usual = USUAL_LENSES.find((lens) => lens.name === name);
    if (!usual) return;
    const lensId = freeId(name, rig.lenses);
    if (run({ type: 'addLens', lensId, lens: { ...usual } })) setOpen(lensId);
  };
  return (
    <Box as="section" aria-label="Lenses" mt="5">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Lenses
      </Text>
      <Text fontSize="sm" color="ink.soft" mb="2">
        They outlive the bodies they sit on. A focal length is offered only where a lens here has
        it.
      </Text>
      {lenses.map(([lensId, lens]) => (
        <Box
          key={lensId}
          role="group"
          aria-label={lens.name}
          borderBottomWidth="1px"
          borderColor="rule"
          py="1.5"
        >
          <Flex justify="space-between" align="baseline" gap="2" fontSize="sm">
            <Box>
              <Text fontWeight="600">{lens.name}</Text>
              <Text fontSize="xs" color="ink.soft">
                {lensText(lens)}, focuses from {lens.nearestM} m, {lens.massKg} kg; {onIt(lensId)}
              </Text>
            </Box>
            <Flex gap="1">
              <Button
                size="xs"
                variant="outline"
                aria-expanded={open === lensId}
                onClick={() => setOpen(open === lensId ? null : lensId)}
              >
                {open === lensId ? 'Done' : 'Change'}
              </Button>
              <Button
                size="xs"
                variant="outline"
                aria-label={`Remove ${lens.name}`}
                onClick={() => run({ type: 'removeLens', lensId })}
              >
                Remove
              </Button>
            </Flex>
          </Flex>
          {open === lensId && (
            <LensFields
              lens={lens}
              onChange={(change) => run({ type: 'changeLens', lensId, lens: change })}
            />
          )}
        </Box>
      ))}
      <Box mt="2" maxW="420px">
        <ChoiceField
          label="Add a usual lens"
          value=""
          options={[
            { value: '', label: 'Choose…' },
            ...USUAL_LENSES.map(({ name }) => ({ value: name, label: name })),
          ]}
          onChoose={add}
        />
      </Box>
    </Box>
  );
};
