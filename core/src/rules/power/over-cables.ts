import { deviceNameById, nameOf } from '../../passes/names';
import type { Fix } from '../../edits/fix';
import { isFree } from '../../edits/sockets';
import {
  type NetworkFeed,
  networkFeeds,
  type UsbFeed,
  usbFeeds,
  usbPortW,
} from '../../passes/power';
import type { Measured } from '../../passes/measured';
import { entry } from '../../rig';
import { batchFix, eachPowerRule, setFix } from '../rule-of';
import { watts } from './watts';

/** What is fed over USB and over the network. */

/** Into a free socket of the same computer that gives enough. */
const otherSocket = (
  measured: Measured,
  hostId: string,
  fedId: string | undefined,
  takenW: number,
): Fix[] => {
  const link = Object.entries(measured.rig.links).find(([, { from, to }]) =>
    [from.deviceId, to.deviceId].every((id) => id === hostId || id === fedId),
  );
  const host = measured.graph.devices.get(hostId);
  if (!link || !host || fedId === undefined) return [];
  const [linkId, { from, to, cable }] = link;
  const own = from.deviceId === fedId ? from : to;
  return host.ports
    .values()
    .filter(
      (node) =>
        node.port.family === 'usb' &&
        node.port.role === 'host' &&
        usbPortW(node.port) >= takenW &&
        isFree(node),
    )
    .slice(0, 1)
    .map((node) =>
      batchFix(`Plug it into ${node.port.name} of ${measured.device(host).name}`, [
        { type: 'disconnect', linkId },
        { type: 'connect', linkId, from: own, to: { deviceId: hostId, portId: node.id }, cable },
      ]),
    );
};

/** A socket by its device: `Laptop, USB-C 1`. */
const socketName = (measured: Measured, deviceId: string, portId: string): string => {
  const port = measured.graph.devices.get(deviceId)?.ports.get(portId);
  return port ? nameOf(measured, port) : deviceNameById(measured, deviceId);
};

export const usbUnder = eachPowerRule<UsbFeed>(
  'power.usb-under',
  {
    looksFor:
      'Devices that draw more over USB than their socket gives, also through a hub without its own supply.',
    why: 'They drop out when they work hardest: in the show.',
    remedy: 'Use a hub with its own supply, or another socket.',
    source: 'handbook 5, Power: USB 2.5, 4.5, 7.5 W',
  },
  {
    all: usbFeeds,
    about: ({ deviceId, portId }) => ({ kind: 'port', deviceId, portId }),
    judge: ({ deviceId, portId, givesW, takenW, fed }, measured) =>
      takenW > givesW
        ? {
            level: 'stop',
            title: `${watts(takenW)} over a socket that gives ${watts(givesW)}`,
            says:
              `${fed.map((one) => deviceNameById(measured, one.id)).join(', ')} draw ${watts(takenW)} from ` +
              `${socketName(measured, deviceId, portId)}, which gives ` +
              `${watts(givesW)}. They drop out when they work hardest. Use a hub with its own supply.`,
          }
        : null,
    sums: ({ deviceId, portId, fed, takenW }, measured) => [
      {
        label: `Drawn from ${socketName(measured, deviceId, portId)}`,
        formula: 'sum of W at most',
        inputs: fed.map((one) => ({
          name: deviceNameById(measured, one.id),
          value: one.supply.mostW,
          unit: 'W',
        })),
        result: takenW,
        unit: 'W',
        source: 'typical of the classes',
      },
    ],
    fixes: ({ deviceId, fed, takenW }, measured) => [
      ...otherSocket(measured, deviceId, fed[0]?.id, takenW),
      ...fed.flatMap(({ id }) => {
        const device = entry(measured.rig.devices, id);
        const control = device?.model.kind === 'hub' ? device.model.supplyControl : undefined;
        return device && control !== undefined
          ? [setFix(`Plug in the supply of ${device.name}`, id, control, true)]
          : [];
      }),
    ],
  },
);

export const poeOver = eachPowerRule<NetworkFeed>(
  'power.network-over',
  {
    looksFor:
      'Devices fed over the network from a switch that gives none, too little a port, or too little in all.',
    why: 'Those that come last stay dark, or all of them start again and again.',
    remedy: 'Use a switch that gives more, or a supply beside the device.',
    source: 'handbook 5, Power: 12.95, 25.5, 51, 71.3 W at the device, counted 15.4, 30, 60, 90 W',
  },
  {
    all: networkFeeds,
    about: ({ deviceId }) => ({ kind: 'device', deviceId }),
    judge: ({ deviceId, portW, budgetW, fed, takenW }, measured) => {
      const name = deviceNameById(measured, deviceId);
      const names = (list: readonly { readonly id: string }[]) =>
        list.map(({ id }) => deviceNameById(measured, id)).join(', ');
      if (portW === 0)
        return {
          level: 'stop',
          title: `${name} feeds nothing over the network`,
          says:
            `${names(fed)} ${fed.length === 1 ? 'is' : 'are'} fed over the network, and ${name} gives no ` +
            'power. Use a switch that does.',
        };
      const over = fed.filter((one) => one.countedW === null || one.countedW > portW);
      if (over.length > 0)
        return {
          level: 'stop',
          title: `${name} gives ${watts(portW)} a port, more is needed`,
          says:
            `${names(over)} ${over.length === 1 ? 'needs' : 'need'} more than the ${watts(portW)} a port ` +
            `that ${name} counts. Use a switch that gives more.`,
        };
      return takenW > budgetW
        ? {
            level: 'stop',
            title: `${watts(takenW)} counted over the network, ${name} gives ${watts(budgetW)}`,
            says:
              `${fed.length} devices count ${watts(takenW)} on ${name}, which gives ${watts(budgetW)} in ` +
              'all. Those that come last stay dark. Use a larger one, or a second.',
          }
        : null;
    },
    sums: ({ deviceId, fed, takenW }, measured) => [
      {
        label: `Counted by ${deviceNameById(measured, deviceId)}`,
        formula: 'sum of the classes: up to 12.95 W count 15.4, 25.5 W 30, 51 W 60, 71.3 W 90',
        inputs: fed.map((one) => ({
          name: `${deviceNameById(measured, one.id)}, ${one.supply.mostW} W`,
          value: one.countedW ?? 'too much',
          unit: 'W',
        })),
        result: takenW,
        unit: 'W',
        source: 'handbook 5, Power',
      },
    ],
  },
);
