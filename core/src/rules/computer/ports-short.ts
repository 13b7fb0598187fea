import { classById } from '../../catalogue';
import { disconnect } from '../../edits/splice';
import type { DeviceNode, PortNode } from '../../graph';
import type { Measured } from '../../passes/measured';
import { freeId, mate, type SimpleCommand } from '../../rig';
import { at } from '../about';
import { batchFix, computerRule } from '../rule-of';

const hosts = (measured: Measured): PortNode[] =>
  measured.graph.ports.filter(
    ({ port, device }) =>
      port.family === 'usb' &&
      port.role === 'host' &&
      (device.model.kind === 'computer' || device.model.kind === 'hub'),
  );

/** Devices that go nowhere but into a computer, with no socket left. */
const waiting = (measured: Measured): { node: DeviceNode; out: PortNode }[] => {
  const sockets = hosts(measured);
  if (sockets.length === 0 || sockets.some(({ links }) => links.length === 0)) return [];
  return [...measured.graph.devices.values()].flatMap((node) => {
    const outs = node.ports
      .values()
      .filter(({ port }) => port.family === 'usb' && port.role === 'device');
    const [out] = outs;
    return out &&
      ['capture', 'interface', 'webcam', 'microphone'].includes(node.model.kind) &&
      outs.every(({ links }) => links.length === 0)
      ? [{ node, out }]
      : [];
  });
};

/** A hub between a socket that carries only sound and the computer, since pictures go straight in. */
const byHub = (measured: Measured, { node, out }: { node: DeviceNode; out: PortNode }) => {
  const taken = hosts(measured).find(
    ({ links, device }) =>
      device.model.kind === 'computer' && links[0]?.from.device.model.kind === 'interface',
  );
  const [edge] = taken?.links ?? [];
  if (!taken || !edge || node.model.kind === 'capture') return [];
  const deviceId = freeId('hub', measured.rig.devices);
  const model = classById('hub-5g');
  const cableFor = (from: PortNode, port: PortNode['port']) => {
    const mating = mate(from.port, port);
    return mating.can ? mating.cables[0] : undefined;
  };
  const [up, first, second] = [model.ports['up'], model.ports['usb-1'], model.ports['usb-2']];
  const [own, other] = first && second ? [cableFor(edge.from, first), cableFor(out, second)] : [];
  const upward = up && mate(up, taken.port);
  if (!own || !other || !upward?.can || !upward.cables[0]) return [];
  const commands: SimpleCommand[] = [
    disconnect(edge),
    {
      type: 'addDevice',
      deviceId,
      name: 'Hub',
      model,
      settings: {},
      personId: null,
      placeId: measured.device(taken.device).placeId,
    },
    {
      type: 'connect',
      linkId: freeId(`${deviceId}-up`, measured.rig.links),
      from: { deviceId, portId: 'up' },
      to: { deviceId: taken.device.id, portId: taken.id },
      cable: { kind: upward.cables[0], lengthM: 1 },
    },
    {
      type: 'connect',
      linkId: edge.id,
      from: edge.link.from,
      to: { deviceId, portId: 'usb-1' },
      cable: { kind: own, lengthM: edge.link.cable.lengthM },
    },
    {
      type: 'connect',
      linkId: freeId(`${node.id}-to-${deviceId}`, measured.rig.links),
      from: { deviceId: node.id, portId: out.id },
      to: { deviceId, portId: 'usb-2' },
      cable: { kind: other, lengthM: 1 },
    },
  ];
  return [
    batchFix(
      `Put ${measured.device(edge.from.device).name} and ${measured.device(node).name} on a hub`,
      commands,
    ),
  ];
};

export const portsShort = computerRule(
  'computer.ports-short',
  {
    looksFor:
      'A capture device, interface or microphone for a computer whose every socket is taken.',
    why: 'There is nowhere to plug it in, and the hub bought in a hurry is the weakest part of the rig.',
    remedy: 'Put what carries only sound on a hub, or use a computer with more sockets.',
    source: 'handbook 3-picture: ports are counted',
  },
  (measured) =>
    waiting(measured).map(({ node, out }) => ({
      level: 'stop',
      about: at({ deviceId: node.id, portId: out.id }),
      title: 'No socket left',
      says:
        `${measured.device(node).name} has nowhere to go: every USB socket is taken. Put what carries ` +
        'only sound on a hub, or use a computer with more sockets.',
    })),
  {
    sums: (measured) => [
      {
        label: 'Sockets left',
        formula: 'sockets − taken',
        inputs: [
          { name: 'sockets', value: hosts(measured).length, unit: '' },
          {
            name: 'taken',
            value: hosts(measured).filter(({ links }) => links.length > 0).length,
            unit: '',
          },
        ],
        result: 0,
        unit: 'sockets',
        source: 'counted',
      },
    ],
    fixes: (measured, { about }) =>
      waiting(measured)
        .filter(({ node }) => node.id === about.deviceId)
        .flatMap((found) => byHub(measured, found)),
  },
);
