'use client';

import { Box, Table, Text } from '@chakra-ui/react';
import { type Analysis, inOrder, isOnBattery, supplyOf } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NOWHERE } from './fed';

const IS = {
  inlet: 'mains inlet',
  adapter: 'mains adapter',
  usb: 'over USB',
  network: 'over the network',
  battery: 'its battery',
} as const;

/** The device at the other end of what feeds it over a cable. */
const feederOf = ({ rig }: Analysis, id: string): string => {
  const link = Object.values(rig.links).find(
    ({ from, to, cable }) =>
      (from.deviceId === id || to.deviceId === id) &&
      (cable.kind.startsWith('usb') || cable.kind === 'ethernet'),
  );
  const other = link && (link.from.deviceId === id ? link.to.deviceId : link.from.deviceId);
  return other ? (rig.devices[other]?.name ?? '—') : '—';
};

/** What every device runs on, and where it is plugged in. */
export const Plugs = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { rig } = analysis;
  const options = [
    { value: NOWHERE, label: 'nowhere yet' },
    ...inOrder(rig.feeds).map(([value, { name }]) => ({ value, label: name })),
  ];
  const devices = inOrder(rig.devices).flatMap(([id, device]) => {
    const supply = supplyOf(device.model);
    return supply ? [{ id, device, supply }] : [];
  });
  if (devices.length === 0)
    return <Text fontSize="sm">No device in this rig needs a supply yet.</Text>;
  return (
    <Box overflowX="auto">
      <Table.Root size="sm" variant="outline" aria-label="What devices run on">
        {head(['Device', 'Runs on', 'In use', 'At most', 'Plugged into'])}
        <Table.Body>
          {devices.map(({ id, device, supply }) => (
            <Table.Row key={id} bg="transparent">
              <Table.Cell {...cell}>{device.name}</Table.Cell>
              <Table.Cell {...cell}>
                {isOnBattery(device) ? IS.battery : IS[supply.is]}
                {supply.covers > 1 ? `, covers ${supply.covers}` : ''}
              </Table.Cell>
              <Table.Cell {...cell} className="figures" whiteSpace="nowrap">
                {supply.typicalW} W
              </Table.Cell>
              <Table.Cell {...cell} className="figures" whiteSpace="nowrap">
                {supply.mostW} W
              </Table.Cell>
              <Table.Cell {...cell}>
                {(supply.is === 'inlet' || supply.is === 'adapter') && !isOnBattery(device) ? (
                  <ChoiceField
                    inCell
                    width="180px"
                    label={`Where ${device.name} is plugged in`}
                    value={rig.plugs[id] ?? NOWHERE}
                    options={options}
                    onChoose={(value) =>
                      run({
                        type: 'plugIn',
                        deviceId: id,
                        feedId: value === NOWHERE ? null : value,
                      })
                    }
                  />
                ) : (
                  <Text as="span" color="ink.soft">
                    {feederOf(analysis, id)}
                  </Text>
                )}
              </Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
      <Text fontSize="xs" color="ink.soft" mt="1">
        Watts are typical of the classes. Mains by local code; wiring is for licensed electricians.
        Never lift the protective earth.
      </Text>
    </Box>
  );
};
