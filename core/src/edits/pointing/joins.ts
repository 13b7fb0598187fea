import { CATALOGUE } from '../../catalogue';
import type { DeviceNode, PortNode } from '../../graph';
import type { Measured } from '../../passes/measured';
import {
  type CableRun,
  type End,
  entry,
  freeId,
  mate,
  type Model,
  type Port,
  type Rig,
  type SimpleCommand,
  suggestedCable,
} from '../../rig';
import { endOf, isFree, isSameLevel } from '../sockets';

/** What a device, or one of its ports, can be joined with when somebody points at both. */

/** One way two devices can be joined: which end sends, and the cable a person would reach for. */
export interface Join {
  readonly from: End;
  readonly to: End;
  readonly fromPort: Port;
  readonly toPort: Port;
  readonly cable: CableRun;
}

export type Joining =
  | { readonly can: true; readonly ways: readonly [Join, ...Join[]] }
  | { readonly can: false; readonly why: string };

interface PortEnd {
  readonly end: End;
  readonly port: Port;
}

type Mated =
  | { readonly can: true; readonly flipped: boolean; readonly cable: CableRun }
  | { readonly can: false; readonly why: string };

/** What decides whether two ports mate; ports alike in it are tried once. */
const likeness = new WeakMap<Port, string>();
const likenessOf = (port: Port): string => {
  const known = likeness.get(port);
  if (known !== undefined) return known;
  const { family, connector, direction } = port;
  const more =
    port.family === 'analogue'
      ? [port.nominal, port.balanced]
      : port.family === 'picture'
        ? [port.standard]
        : port.family === 'usb'
          ? [port.role, port.gbps]
          : [];
  const text = [family, connector, direction, ...more].join(' ');
  likeness.set(port, text);
  return text;
};

const mated = (): ((a: Port, b: Port) => Mated) => {
  const tried = new Map<string, Mated>();
  return (a, b) => {
    const key = `${likenessOf(a)}|${likenessOf(b)}`;
    const known = tried.get(key);
    if (known) return known;
    const mating = mate(a, b);
    const cable = mating.can ? suggestedCable(a, b) : null;
    const result: Mated =
      mating.can && cable
        ? { can: true, flipped: mating.flipped, cable }
        : { can: false, why: mating.can ? 'no cable has plugs for both' : mating.why };
    tried.set(key, result);
    return result;
  };
};

const joinOf = (own: PortEnd, far: PortEnd, { flipped, cable }: Mated & { can: true }): Join => {
  const [from, to] = flipped ? [far, own] : [own, far];
  return { from: from.end, to: to.end, fromPort: from.port, toPort: to.port, cable };
};

/** The kind of a way: of ways of one kind only the first is worth offering. */
const kindOf = ({ fromPort, toPort }: Join): string =>
  `${fromPort.family} ${fromPort.connector} ${toPort.connector}`;

/**
 * The ways to join two lists of free ports, the likeliest first: forward, at the same level, in the
 * order of the ports.
 */
const waysBetween = (
  own: readonly PortEnd[],
  far: readonly PortEnd[],
  tryBoth: (a: Port, b: Port) => Mated,
): Join[] => {
  const found: { readonly join: Join; readonly rank: number }[] = [];
  for (const a of own)
    for (const b of far) {
      const mating = tryBoth(a.port, b.port);
      if (!mating.can) continue;
      const rank = (mating.flipped ? 2 : 0) + (isSameLevel(a.port, b.port) ? 0 : 1);
      found.push({ join: joinOf(a, b, mating), rank });
    }
  const kinds = new Set<string>();
  return found
    .sort((a, b) => a.rank - b.rank)
    .map(({ join }) => join)
    .filter((join) => {
      const kind = kindOf(join);
      return !kinds.has(kind) && kinds.add(kind);
    });
};

const portEnds = (nodes: readonly PortNode[]): PortEnd[] =>
  nodes.map((node) => ({ end: endOf(node), port: node.port }));

const NOTHING_FITS = 'no port of one fits a port of the other';
const ALL_HELD = 'every socket that would fit holds a cable already';

/** Why two devices cannot be joined: held sockets first, then what is nearest to fitting. */
const whyNot = (
  own: readonly PortNode[],
  far: readonly PortNode[],
  tryBoth: (a: Port, b: Port) => Mated,
): string => {
  let nearest = NOTHING_FITS;
  for (const a of own)
    for (const b of far) {
      const mating = tryBoth(a.port, b.port);
      if (mating.can) return ALL_HELD;
      if (a.port.family === b.port.family) nearest = mating.why;
    }
  return nearest;
};

/**
 * What a device can be joined with, device by device, by id; its own is left out.
 * @param portId only by this port; null by any that is free
 */
export const joinings = (
  { graph }: Measured,
  node: DeviceNode,
  portId: string | null,
): ReadonlyMap<string, Joining> => {
  const tryBoth = mated();
  const own = node.ports.values().filter(({ id }) => portId === null || id === portId);
  const free = portEnds(own.filter(isFree));
  const result = new Map<string, Joining>();
  for (const far of graph.devices.values()) {
    if (far === node) continue;
    const ports = far.ports.values();
    const [first, ...rest] = waysBetween(free, portEnds(ports.filter(isFree)), tryBoth);
    result.set(
      far.id,
      first
        ? { can: true, ways: [first, ...rest] }
        : { can: false, why: whyNot(own, ports, tryBoth) },
    );
  }
  return result;
};

export const connectBy = (rig: Rig, { from, to, cable }: Join): SimpleCommand => ({
  type: 'connect',
  linkId: freeId(`${from.deviceId}-${from.portId}-to-${to.deviceId}`, rig.links),
  from,
  to,
  cable,
});

/** A class that could stand at the end of a cable from what somebody holds. */
export interface Offered {
  readonly model: Model;
  /** Whether it takes what is held, or feeds it */
  readonly takes: boolean;
  readonly portName: string;
  readonly cable: CableRun;
  readonly deviceId: string;
  readonly commands: readonly [SimpleCommand, SimpleCommand];
}

/** A name nobody in the rig has yet: "Webcam, 1080p", "Webcam, 1080p 2". */
export const freshName = (rig: Rig, name: string): string => {
  const taken = new Set(Object.values(rig.devices).map((device) => device.name));
  for (let n = 1; ; n++) {
    const candidate = n === 1 ? name : `${name} ${n}`;
    if (!taken.has(candidate)) return candidate;
  }
};

/**
 * Every class of the catalogue that could be joined to a device, each with the two commands that
 * add it and connect it.
 * @param portId only by this port; null by any that is free
 */
export const offeredBeside = (
  { graph, rig }: Measured,
  deviceId: string,
  portId: string | null,
): Offered[] => {
  const node = graph.devices.get(deviceId);
  if (!node) return [];
  const tryBoth = mated();
  const free = portEnds(
    node.ports.values().filter((port) => (portId === null || port.id === portId) && isFree(port)),
  );
  const held = entry(rig.devices, deviceId);
  return CATALOGUE.flatMap((model): Offered[] => {
    const newId = freeId(model.classId ?? model.kind, rig.devices);
    const far = Object.entries(model.ports).map(([id, port]) => ({
      end: { deviceId: newId, portId: id },
      port,
    }));
    const [join] = waysBetween(free, far, tryBoth);
    if (!join) return [];
    const takes = join.to.deviceId === newId;
    return [
      {
        model,
        takes,
        portName: takes ? join.fromPort.name : join.toPort.name,
        cable: join.cable,
        deviceId: newId,
        commands: [
          {
            type: 'addDevice',
            deviceId: newId,
            name: freshName(rig, model.name),
            model,
            settings: {},
            personId: null,
            placeId: held?.placeId ?? null,
          },
          connectBy(rig, join),
        ],
      },
    ];
  });
};
