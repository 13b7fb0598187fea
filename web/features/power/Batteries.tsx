'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  batteriesFor,
  batteryOf,
  batteryHours,
  chargersOf,
  inOrder,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';

/** Slots of a charger, and how long a charge usually takes. @unit h */
const SLOTS = [0, 2, 4] as const;
const CHARGE_H = 2.5;

interface Alike {
  readonly names: string[];
  readonly lastsMin: number;
}

/** How long a battery lasts by what is printed on it and on what it feeds, taken over by one device. */
const FromLabel = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [wh, setWh] = useState<number | null>(null);
  const [w, setW] = useState<number | null>(null);
  const onBatteries = inOrder(analysis.rig.devices).filter(([, device]) => batteryOf(device));
  const [chosen, setChosen] = useState('');
  const [deviceId, device] = onBatteries.find(([id]) => id === chosen) ?? onBatteries[0] ?? [];
  const path = device && batteryOf(device)?.path;
  const hours = wh === null || w === null ? null : batteryHours(wh, w);
  return (
    <Box role="group" aria-label="A battery by its label" mt="3" maxW="26rem">
      <NumberField
        label="Battery holds"
        unit="Wh"
        min={0.1}
        max={5000}
        value={wh}
        onCommit={setWh}
      />
      <NumberField label="It feeds" unit="W" min={0.1} max={5000} value={w} onCommit={setW} />
      <ChoiceField
        label="In"
        value={deviceId ?? ''}
        options={onBatteries.map(([value, { name }]) => ({ value, label: name }))}
        onChoose={setChosen}
      />
      {hours !== null && (
        <Flex mt="1" gap="3" align="center" wrap="wrap">
          <Text fontSize="sm">
            {wh} Wh × 0.85 ÷ {w} W = {hours.toFixed(2)} h
          </Text>
          {deviceId !== undefined && path && (
            <Button
              size="xs"
              variant="outline"
              onClick={() =>
                run({ type: 'setFigure', deviceId, path, value: Math.round(60 * hours) })
              }
            >
              Take {Math.round(60 * hours)} min for {device.name}
            </Button>
          )}
        </Flex>
      )}
    </Box>
  );
};

/** Devices on their battery, those that last as long as each other together. */
export const onBattery = ({ rig }: Analysis): Alike[] => {
  const found = new Map<number, Alike>();
  for (const [, device] of inOrder(rig.devices)) {
    const lastsMin = batteryOf(device)?.lastsMin;
    if (lastsMin === undefined) continue;
    const known = found.get(lastsMin);
    if (known) known.names.push(device.name);
    else found.set(lastsMin, { names: [device.name], lastsMin });
  }
  return [...found.values()].sort((a, b) => a.lastsMin - b.lastsMin);
};

/** How many batteries a long day asks for, without a charger and with one. */
export const Batteries = ({ analysis }: { readonly analysis: Analysis }) => {
  const alike = onBattery(analysis);
  const { dayH } = analysis.rig.powerRules;
  const own = chargersOf(analysis.rig);
  const columns = [
    ...SLOTS.map((slots) => ({
      heading: slots === 0 ? 'No charger' : `${slots} slots`,
      slots,
      chargeH: CHARGE_H,
    })),
    ...(own ? [{ heading: `Yours, ${own.slots} slots`, ...own }] : []),
  ];
  if (alike.length === 0) return null;
  return (
    <Box as="section" aria-label="Batteries">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Batteries for {dayH} h
      </Text>
      <PlainTable
        label="Batteries for a long day"
        headings={['On battery', 'Lasts', ...columns.map(({ heading }) => heading)]}
        lines={alike.map(({ names, lastsMin }) => ({
          id: String(lastsMin),
          head: names.join(', '),
          cells: [
            `${lastsMin} min`,
            ...columns.map(({ slots, chargeH }) =>
              String(
                batteriesFor({
                  devices: names.length,
                  lastsH: lastsMin / 60,
                  chargeH,
                  dayH,
                  slots,
                }),
              ),
            ),
          ],
        }))}
      />
      <Text fontSize="xs" color="ink.soft" mt="1">
        Each is run to empty and charged in {CHARGE_H} h
        {own ? `, in yours in ${own.chargeH} h` : ''}; changing early needs fewer.
        {own && alike.length > 1
          ? ' Each line has all your slots to itself: those that share them need more.'
          : ''}
      </Text>
      <FromLabel analysis={analysis} />
    </Box>
  );
};
