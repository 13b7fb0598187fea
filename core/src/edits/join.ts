import { type End, entry, freeId, type Rig, type SimpleCommand, suggestedCable } from '../rig';

interface How {
  /** What the id of the new link begins with */
  readonly stem?: string;
  /** Length of the cable where it is known. @unit m */
  readonly lengthM?: number | undefined;
}

/** Joins two ports of a rig with the cable a person would reach for. @returns null where they cannot be joined */
export const join = (rig: Rig, from: End, to: End, how: How = {}): SimpleCommand | null => {
  const [a, b] = [from, to].map((end) => entry(rig.devices, end.deviceId)?.model.ports[end.portId]);
  const cable = a && b && suggestedCable(a, b);
  if (!cable) return null;
  const { stem = `${from.deviceId}-${from.portId}-to-${to.deviceId}`, lengthM } = how;
  return {
    type: 'connect',
    linkId: freeId(stem, rig.links),
    from,
    to,
    cable: lengthM === undefined ? cable : { ...cable, lengthM },
  };
};
