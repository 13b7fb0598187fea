import type { LinkEdge } from '../../graph';
import type { Measured } from '../../passes/measure';
import type { AnaloguePort } from '../../rig';
import { type About, at } from '../about';

/** A cable between two analogue ports. */
export interface AnalogueJoint {
  readonly edge: LinkEdge;
  readonly out: AnaloguePort;
  readonly input: AnaloguePort;
}

export const analogueJoints = (measured: Measured): AnalogueJoint[] => {
  const joints: AnalogueJoint[] = [];
  for (const edge of measured.graph.links.values())
    if (edge.from.port.family === 'analogue' && edge.to.port.family === 'analogue')
      joints.push({ edge, out: edge.from.port, input: edge.to.port });
  return joints;
};

export const aboutJoint = (edge: LinkEdge): About =>
  at({ deviceId: edge.to.device.id, portId: edge.to.id, linkId: edge.id });

/** A free input of the same device made for another nominal level. */
export const freeInput = (
  edge: LinkEdge,
  isNominal: (nominal: AnaloguePort['nominal']) => boolean,
) =>
  [...edge.to.device.ports.values()].find(
    (node) =>
      node.port.family === 'analogue' &&
      node.port.direction === 'in' &&
      node.links.length === 0 &&
      isNominal(node.port.nominal),
  );
