import { overNetworkOf, supplyOf } from '../../catalogue/supplies';
import type { DeviceNode, PortNode } from '../../graph';
import { type Supply, switchSetting, type UsbPort } from '../../rig';
import type { Measured } from '../measured';

import { pass } from '../pass';

/** What is fed over USB and over the network. Powers in W. */

/** A device that is fed over a cable of its signal. */
export interface FedDevice {
  readonly id: string;
  readonly supply: Supply;
}

/** A socket, and what hangs on it, through hubs without a supply of their own too. */
export interface UsbFeed {
  readonly deviceId: string;
  readonly portId: string;
  readonly givesW: number;
  readonly fed: readonly FedDevice[];
  readonly takenW: number;
}

/** What a port gives. @source handbook 5, Power: 2.5 W USB 2, 4.5 W 5 Gb/s, 7.5 W USB-C */
export const usbPortW = ({ gbps, connector }: Pick<UsbPort, 'gbps' | 'connector'>): number =>
  connector === 'usb-c' ? 7.5 : gbps >= 5 ? 4.5 : 2.5;

const hasOwnSupply = (measured: Measured, { id, model }: DeviceNode): boolean => {
  if (model.supplyControl !== undefined)
    return switchSetting(measured.device({ id }), model.supplyControl);
  const supply = supplyOf(model);
  return supply !== null && supply.is !== 'usb';
};

interface UsbLink {
  readonly host: PortNode;
  readonly port: UsbPort;
  readonly device: DeviceNode;
}

/** Every USB cable, from the side that gives power to the side that takes it. */
const usbLinks = ({ graph }: Measured): UsbLink[] =>
  [...graph.links.values()].flatMap(({ from, to }) => {
    if (from.port.family !== 'usb' || to.port.family !== 'usb') return [];
    const [host, device] = from.port.role === 'host' ? [from, to] : [to, from];
    return host.port.family === 'usb' && host.port.role === 'host'
      ? [{ host, port: host.port, device: device.device }]
      : [];
  });

/** Every socket that feeds something, with everything that hangs on a hub that only shares it. */
export const usbFeeds = pass('power over usb', (measured): readonly UsbFeed[] => {
  const links = usbLinks(measured);
  const isPassing = (node: DeviceNode): boolean =>
    node.model.kind === 'hub' && !hasOwnSupply(measured, node);
  const fedBy = ({ device }: UsbLink): FedDevice[] => {
    const supply = supplyOf(device.model);
    if (!supply) return [];
    const own = supply.is === 'usb' ? [{ id: device.id, supply }] : [];
    return isPassing(device)
      ? [...own, ...links.filter(({ host }) => host.device.id === device.id).flatMap(fedBy)]
      : own;
  };
  return links.flatMap((link) => {
    const { host, port } = link;
    // The socket before a hub without a supply is judged with all that hangs on the hub.
    const fed = isPassing(host.device) ? [] : fedBy(link);
    return fed.length === 0
      ? []
      : [
          {
            deviceId: host.device.id,
            portId: host.id,
            givesW: usbPortW(port),
            fed,
            takenW: fed.reduce((sum, { supply }) => sum + supply.mostW, 0),
          },
        ];
  });
});

/** Classes of power over a network: what arrives at the device, and what the switch counts for it. @unit W */
const CLASSES = [
  [12.95, 15.4],
  [25.5, 30],
  [51, 60],
  [71.3, 90],
] as const;

/** What a switch counts for a device. @returns null where no class gives that much @source handbook 5, Power */
export const countedW = (deviceW: number): number | null =>
  CLASSES.find(([atDevice]) => deviceW <= atDevice)?.[1] ?? null;

/** A network switch and what it feeds. */
export interface NetworkFeed {
  readonly deviceId: string;
  /** What a port gives, and all together; 0 where it gives none. @unit W */
  readonly portW: number;
  readonly budgetW: number;
  readonly fed: readonly (FedDevice & { readonly countedW: number | null })[];
  readonly takenW: number;
}

/** Everything that feeds devices over the network, or should. */
export const networkFeeds = pass('power over the network', (measured): readonly NetworkFeed[] => {
  const fedBy = new Map<DeviceNode, (FedDevice & { readonly countedW: number | null })[]>();
  const seen = new Set<DeviceNode>();
  for (const { from, to, link } of measured.graph.links.values()) {
    if (link.cable.kind !== 'ethernet') continue;
    for (const [one, other] of [
      [from.device, to.device],
      [to.device, from.device],
    ] as const) {
      const supply = supplyOf(one.model);
      if (supply?.is !== 'network' || seen.has(one)) continue;
      seen.add(one);
      fedBy.set(other, [
        ...(fedBy.get(other) ?? []),
        { id: one.id, supply, countedW: countedW(supply.mostW) },
      ]);
    }
  }
  return [...fedBy].map(([device, fed]) => {
    const gives = overNetworkOf(device.model);
    return {
      deviceId: device.id,
      portW: gives?.portW ?? 0,
      budgetW: gives?.budgetW ?? 0,
      fed,
      takenW: fed.reduce((sum, one) => sum + (one.countedW ?? 0), 0),
    };
  });
});
