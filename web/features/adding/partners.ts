import {
  CABLES,
  inOrder,
  isFree,
  mate,
  STEPS,
  suggestedCable,
  type Analysis,
  type PortNode,
} from '@echo-loom/core';
import type { PickGroup, PickItem } from '@/ui/PickList';

export const portKey = (node: PortNode): string => `${node.device.id}.${node.id}`;

/** Ports of a device that can still take a cable. */
export const ownPorts = (analysis: Analysis, deviceId: string): PickItem[] =>
  [...(analysis.graph.devices.get(deviceId)?.ports.values() ?? [])].map((node) => ({
    key: portKey(node),
    label: node.port.name,
    about: isFree(node) ? undefined : `Holds a cable to ${farName(analysis, node)}`,
    disabled: !isFree(node),
  }));

/** The device at the other end of a port's cable. */
const farName = (analysis: Analysis, node: PortNode): string => {
  const { socket } = node.port;
  const held = node.device.ports
    .values()
    .find(
      (other) =>
        other.links.length > 0 &&
        (other === node || (socket !== undefined && other.port.socket === socket)),
    );
  const link = held?.links[0];
  const far = link?.from === held ? link?.to : link?.from;
  return far ? analysis.device(far.device).name : 'another device';
};

/** Steps apart along the chain; a port of the next device is likelier than one far away. */
const distance = (a: PortNode, b: PortNode): number =>
  Math.abs(STEPS.indexOf(a.device.model.step) - STEPS.indexOf(b.device.model.step));

const HELD = 'Cannot: it holds a cable already';

/**
 * Every port of the rig as a partner for one: those that can be joined first, then the rest with
 * the reason they cannot.
 */
export const partnersOf = (analysis: Analysis, own: PortNode): PickGroup[] => {
  const can: { node: PortNode; item: PickItem }[] = [];
  const cannot: PickItem[] = [];
  for (const [deviceId, device] of inOrder(analysis.rig.devices)) {
    if (deviceId === own.device.id) continue;
    for (const node of analysis.graph.devices.get(deviceId)?.ports.values() ?? []) {
      const label = `${device.name} · ${node.port.name}`;
      const mating = mate(own.port, node.port);
      const held = !isFree(node);
      const cable = suggestedCable(own.port, node.port);
      if (mating.can && !held && cable)
        can.push({
          node,
          item: {
            key: portKey(node),
            label,
            about:
              cable.kind === 'inside'
                ? 'inside the computer'
                : `${cable.lengthM} m of ${CABLES[cable.kind].name}`,
          },
        });
      else if (mating.can || node.port.family === own.port.family)
        cannot.push({
          key: portKey(node),
          label,
          about: mating.can ? HELD : `Cannot: ${mating.why}`,
          disabled: true,
        });
    }
  }
  // What only wants a free socket is nearer to what was meant than what never fits.
  cannot.sort((a, b) => Number(b.about === HELD) - Number(a.about === HELD));
  can.sort((a, b) => distance(own, a.node) - distance(own, b.node));
  return [
    ...(can.length ? [{ heading: 'Can be joined', items: can.map(({ item }) => item) }] : []),
    ...(cannot.length ? [{ heading: 'Cannot be joined', items: cannot }] : []),
  ];
};
