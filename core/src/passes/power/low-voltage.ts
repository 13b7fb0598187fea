import { overNetworkOf, supplyOf } from '../../catalogue/supplies';
import { type Device, entry, type Rig, type Supply, type UsbPort } from '../../rig';
import { switchSetting } from '../../rig';
import { pass } from '../pass';

/** What is fed over USB and over the network. Powers in W. */

/** A device that is fed over a cable of its signal. */
export interface FedDevice {
  readonly id: string;
  readonly name: string;
  readonly supply: Supply;
}

/** A socket, or a hub without a supply of its own, and what hangs on it. */
export interface UsbFeed {
  readonly deviceId: string;
  readonly name: string;
  /** null: all the sockets of a hub that has only what its own cable brings */
  readonly portId: string | null;
  readonly givesW: number;
  readonly fed: readonly FedDevice[];
  readonly takenW: number;
}

/** What a port gives. @source handbook 5, Power: 2.5 W USB 2, 4.5 W 5 Gb/s, 7.5 W USB-C */
export const usbPortW = ({ gbps, connector }: Pick<UsbPort, 'gbps' | 'connector'>): number =>
  connector === 'usb-c' ? 7.5 : gbps >= 5 ? 4.5 : 2.5;

const hasOwnSupply = (device: Device): boolean => {
  const control = device.model.supplyControl;
  if (control !== undefined) return switchSetting(device, control);
  const supply = supplyOf(device.model);
  return supply !== null && supply.is !== 'usb';
};

interface UsbLink {
  readonly hostId: string;
  readonly portId: string;
  readonly port: UsbPort;
  readonly deviceId: string;
}

/** Every USB cable, from the side that gives power to the side that takes it. */
const usbLinks = (rig: Rig, devices: ReadonlyMap<string, Device>): UsbLink[] =>
  Object.values(rig.links).flatMap(({ from, to }) => {
    const sides = [from, to].map((end) => ({
      end,
      port: devices.get(end.deviceId)?.model.ports[end.portId],
    }));
    const host = sides.find(({ port }) => port?.family === 'usb' && port.role === 'host');
    const device = sides.find(({ port }) => port?.family === 'usb' && port.role === 'device');
    return host?.port?.family === 'usb' && device
      ? [
          {
            hostId: host.end.deviceId,
            portId: host.end.portId,
            port: host.port,
            deviceId: device.end.deviceId,
          },
        ]
      : [];
  });

/** Every socket that feeds something, and every hub that shares what one socket gives. */
export const usbFeeds = pass('power over usb', (measured): readonly UsbFeed[] => {
  const devices = measured.devices();
  const links = usbLinks(measured.rig, devices);
  const fedBy = ({ deviceId }: UsbLink): FedDevice[] => {
    const device = devices.get(deviceId);
    const supply = device ? supplyOf(device.model) : null;
    if (!device || !supply) return [];
    // What hangs on a hub without a supply hangs on the socket before it too.
    const own = supply.is === 'usb' ? [{ id: deviceId, name: device.name, supply }] : [];
    const passes = device.model.kind === 'hub' && !hasOwnSupply(device);
    return passes
      ? [...own, ...links.filter(({ hostId }) => hostId === deviceId).flatMap(fedBy)]
      : own;
  };
  return links.flatMap((link) => {
    const host = devices.get(link.hostId);
    if (!host) return [];
    const isPassing = host.model.kind === 'hub' && !hasOwnSupply(host);
    const fed = fedBy(link);
    // The socket before the hub is judged with all that hangs on the hub.
    if (fed.length === 0 || isPassing) return [];
    return [
      {
        deviceId: link.hostId,
        name: `${host.name}, ${link.port.name}`,
        portId: link.portId,
        givesW: usbPortW(link.port),
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
  readonly name: string;
  /** What a port gives, and all together; 0 where it gives none. @unit W */
  readonly portW: number;
  readonly budgetW: number;
  readonly fed: readonly (FedDevice & { readonly countedW: number | null })[];
  readonly takenW: number;
}

/** Everything that feeds devices over the network, or should. */
export const networkFeeds = pass('power over the network', (measured): readonly NetworkFeed[] => {
  const devices = measured.devices();
  const fedBy = new Map<string, (FedDevice & { countedW: number | null })[]>();
  const seen = new Set<string>();
  for (const { from, to, cable } of Object.values(measured.rig.links)) {
    if (cable.kind !== 'ethernet') continue;
    for (const [one, other] of [
      [from.deviceId, to.deviceId],
      [to.deviceId, from.deviceId],
    ] as const) {
      const device = devices.get(one);
      const supply = device ? supplyOf(device.model) : null;
      if (!device || supply?.is !== 'network' || seen.has(one)) continue;
      seen.add(one);
      const fed = { id: one, name: device.name, supply, countedW: countedW(supply.mostW) };
      fedBy.set(other, [...(fedBy.get(other) ?? []), fed]);
    }
  }
  return [...fedBy].flatMap(([deviceId, fed]) => {
    const device = devices.get(deviceId);
    const gives = device ? overNetworkOf(device.model) : null;
    return device
      ? [
          {
            deviceId,
            name: entry(measured.rig.devices, deviceId)?.name ?? deviceId,
            portW: gives?.portW ?? 0,
            budgetW: gives?.budgetW ?? 0,
            fed,
            takenW: fed.reduce((sum, one) => sum + (one.countedW ?? 0), 0),
          },
        ]
      : [];
  });
});
