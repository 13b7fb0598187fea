'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { asLens, freeId, inOrder, lensText, takeCommand, USUAL_LENSES } from '@echo-loom/core';
import { useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { ThingOf } from '@/features/things/ThingOf';
import { useListedThings } from '@/features/things/useListedThings';
import { LensFields } from './LensFields';

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
  const { things } = useListedThings(String(lenses.length));
  const own = things.filter((one) => asLens(one) !== null);
  const take = (thingId: string) => {
    const found = own.find(({ id }) => id === thingId);
    const lens = found && asLens(found);
    if (!found || !lens) return;
    const lensId = freeId(lens.name, rig.lenses);
    const fields = { ...lens, price: found.thing.paid, ownership: 'owned' as const };
    const commands = [
      { type: 'addLens' as const, lensId, lens: fields },
      takeCommand('lens', lensId, found),
    ];
    run({ type: 'batch', label: `Took the lens ${lens.name} of the studio`, commands });
  };
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
            <>
              <ThingOf
                of="lens"
                itemId={lensId}
                thingId={lens.thingId}
                fits={(one) => asLens(one)?.mount.toLowerCase() === lens.mount.toLowerCase()}
              />
              <LensFields
                lens={lens}
                onChange={(change) => run({ type: 'changeLens', lensId, lens: change })}
              />
            </>
          )}
        </Box>
      ))}
      <Box mt="2" maxW="420px">
        {own.length > 0 && (
          <ChoiceField
            label="Take one of the studio’s"
            value=""
            options={[
              { value: '', label: 'Choose…' },
              ...own.map(({ id, thing }) => ({ value: id, label: thing.name })),
            ]}
            onChoose={take}
          />
        )}
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
