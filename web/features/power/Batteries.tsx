'use client';

import { Box, Text } from '@chakra-ui/react';
import { type Analysis, batteriesFor, inOrder, isOnBattery } from '@echo-loom/core';
import { PlainTable } from '@/ui/PlainTable';

/** Slots of a charger, and how long a charge usually takes. @unit h */
const SLOTS = [0, 2, 4] as const;
const CHARGE_H = 2.5;

interface Alike {
  readonly names: string[];
  readonly lastsMin: number;
}

/** Devices on their battery, those that last as long as each other together. */
export const onBattery = ({ rig }: Analysis): Alike[] => {
  const found = new Map<number, Alike>();
  for (const [, device] of inOrder(rig.devices)) {
    const lastsMin = isOnBattery(device)
      ? device.model.camera?.battery?.lastsMin
      : device.model.battery?.lastsMin;
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
  if (alike.length === 0) return null;
  return (
    <Box as="section" aria-label="Batteries">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Batteries for {dayH} h
      </Text>
      <PlainTable
        label="Batteries for a long day"
        headings={[
          'On battery',
          'Lasts',
          ...SLOTS.map((slots) => (slots === 0 ? 'No charger' : `${slots} slots`)),
        ]}
        lines={alike.map(({ names, lastsMin }) => ({
          id: String(lastsMin),
          head: names.join(', '),
          cells: [
            `${lastsMin} min`,
            ...SLOTS.map((slots) =>
              String(
                batteriesFor({
                  devices: names.length,
                  lastsH: lastsMin / 60,
                  chargeH: CHARGE_H,
                  dayH,
                  slots,
                }),
              ),
            ),
          ],
        }))}
      />
      <Text fontSize="xs" color="ink.soft" mt="1">
        Each is run to empty and charged in {CHARGE_H} h; changing early needs fewer.
      </Text>
    </Box>
  );
};
