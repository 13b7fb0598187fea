'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import { moneyOf } from '@echo-loom/core';
import { useMoney } from '@/features/rig/Studio';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { FigureLine } from '@/features/words/Section';
import { NumberField } from '@/ui/NumberField';

/** What the rig costs so far, against the budget. */
export const MoneyPanel = () => {
  const { run } = useRigSession();
  const rig = useRig((state) => state.rig);
  const money = useMoney();
  const { by, lenses, cables, gear, toPay, unknown, left } = moneyOf(rig);
  return (
    <Box>
      <Text as="h2" fontSize="md" fontWeight="600" mb="1.5">
        Money
      </Text>
      <NumberField
        label="Budget"
        unit=""
        mayBeUnknown
        value={rig.brief?.budget ?? null}
        min={0}
        max={1e9}
        step={50}
        onCommit={(budget) => run({ type: 'writeBrief', brief: { budget } })}
      />
      <Box mt="1.5">
        <FigureLine name="To buy" value={money(by['to buy'])} />
        <FigureLine name="Second-hand" value={money(by['second-hand'])} />
        <FigureLine name="To be paid" value={money(toPay)} />
        {left !== null && (
          <FigureLine
            name={left < 0 ? 'Over the budget' : 'Left of the budget'}
            value={money(Math.abs(left))}
          />
        )}
        <FigureLine name="Owned already" value={money(by.owned)} />
        <FigureLine name="Borrowed" value={money(by.borrowed)} />
        {lenses > 0 && <FigureLine name="Of it for lenses" value={money(lenses)} />}
        <FigureLine name="Of it for cables, typical" value={money(cables)} />
        {gear > 0 && (
          <FigureLine name="Of it for strips, covers and the like" value={money(gear)} />
        )}
      </Box>
      {unknown.length > 0 && (
        <Flex mt="1">
          <Text fontSize="xs" color="ink.soft">
            No price is known for {unknown.map((id) => rig.devices[id]?.name ?? id).join(', ')}.
          </Text>
        </Flex>
      )}
      <Text fontSize="xs" color="ink.soft" mt="1">
        Typical prices of each class until you type what was paid, in a device’s side sheet.
      </Text>
    </Box>
  );
};
