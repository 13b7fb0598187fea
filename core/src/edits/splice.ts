import { classById } from '../catalogue';
import type { LinkEdge, PortNode } from '../graph';
import { entry, freeId, mate, type Rig, type SimpleCommand } from '../rig';
import { type CableId, CABLES } from '../rig/links/cables';

export const disconnect = (edge: LinkEdge): SimpleCommand => ({
  type: 'disconnect',
  linkId: edge.id,
});

const NEW_CABLE_M = 1;

/** The cable class offered first for two ports, if any fits. */
export const firstCable = (from: PortNode, to: PortNode): CableId | undefined => {
  const mating = mate(from.port, to.port);
  return mating.can ? mating.cables[0] : undefined;
};

/**
 * Puts a new device of a class into a link: out goes the cable, in go the device and two cables.
 * @returns the commands and the new device's id
 */
export const splice = (
  rig: Rig,
  edge: LinkEdge,
  classId: string,
  ports: { in: string; out: string },
): { deviceId: string; commands: SimpleCommand[] } => {
  const model = classById(classId);
  const deviceId = freeId(`${edge.from.device.id}-${model.kind}`, rig.devices);
  const intoId = freeId(`${deviceId}-in`, rig.links);
  const outId = freeId(`${deviceId}-out`, rig.links);
  const from = entry(rig.devices, edge.from.device.id);
  const cableId = edge.link.cable;
  return {
    deviceId,
    commands: [
      disconnect(edge),
      {
        type: 'addDevice',
        deviceId,
        name: `${from?.name ?? edge.from.device.id} ${model.kind}`.slice(0, 80),
        model,
        settings: {},
        personId: from?.personId ?? null,
        placeId: from?.placeId ?? null,
      },
      {
        type: 'connect',
        linkId: intoId,
        from: edge.link.from,
        to: { deviceId, portId: ports.in },
        cable: { kind: cableId.kind, lengthM: NEW_CABLE_M },
      },
      {
        type: 'connect',
        linkId: outId,
        from: { deviceId, portId: ports.out },
        to: edge.link.to,
        cable: cableId,
      },
    ],
  };
};

/** Moves the far end of a link to another port, with a cable that fits. */
export const replug = (
  edge: LinkEdge,
  to: PortNode,
  cableId: CableId = edge.link.cable.kind,
): SimpleCommand[] => [
  disconnect(edge),
  {
    type: 'connect',
    linkId: edge.id,
    from: edge.link.from,
    to: { deviceId: to.device.id, portId: to.id },
    cable: { kind: cableId, lengthM: edge.link.cable.lengthM },
  },
];

export const cableName = (edge: LinkEdge): string => CABLES[edge.link.cable.kind].name;

/** Cable classes that would fit a link, other than the one it has. */
export const otherCables = (edge: LinkEdge): CableId[] => {
  const mating = mate(edge.from.port, edge.to.port);
  return mating.can ? mating.cables.filter((id) => id !== edge.link.cable.kind) : [];
};
