import { type LinkEdge, type Stage, stagesOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { headroomDb } from '../../passes/sound';
import type { AnaloguePort } from '../../rig';
import { type About, at } from '../about';
import { ABOUT_DB, askedAt } from './headroom';
import { converterLevels } from './level';

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

/** Every signal that arrives over a cable, at its far end. */
const arrivals = ({ traced }: Measured, { id }: LinkEdge): Stage[] =>
  traced.stages.filter(
    ({ signal, via }) => signal === 'sound' && via.by === 'link' && via.link.id === id,
  );

/**
 * Whether what arrives over a cable keeps the headroom it needs, whatever its two ends are made for.
 * @returns null where nothing arrives, or not every level is known
 */
export const arrivesWell = (measured: Measured, edge: LinkEdge): boolean | null => {
  const stages = arrivals(measured, edge);
  if (stages.length === 0) return null;
  const spares = stages.map((stage) => {
    const figures = measured.sound[stage.index];
    const headroom = figures ? headroomDb(figures) : null;
    return headroom === null ? null : headroom - askedAt(measured, stage);
  });
  return spares.includes(null) ? null : spares.every((spare) => (spare ?? 0) >= -ABOUT_DB);
};

/**
 * How far the voices that come over a cable stay under the house level with everything turned up.
 * @returns dB of the worst; null where none comes to a converter with a known level
 */
export const shortBehind = (measured: Measured, edge: LinkEdge): number | null => {
  const behind = converterLevels(measured).filter(({ stage }) =>
    stagesOf(stage).some(({ via }) => via.by === 'link' && via.link.id === edge.id),
  );
  return behind.length === 0
    ? null
    : Math.max(...behind.map(({ missingDb, spareDb }) => missingDb - spareDb));
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
