import type { DeviceNode } from '../graph';
import type { Measured } from '../passes/measured';
import { middleM, mouthOf, moveToMouth, placedSpot, stoodAt } from '../passes/place';
import { entry, type SimpleCommand } from '../rig';
import { moveDevice } from './move';

/**
 * Sets a microphone at a distance from its mouth: the figure its level is computed with, and, where
 * it stands on the plan by itself, its place along the line it stands on.
 * @param control with the distance @param value m
 */
export const atMouth = (
  measured: Measured,
  node: DeviceNode,
  control: string,
  value: number,
): SimpleCommand[] => {
  const set: SimpleCommand = { type: 'setControl', deviceId: node.id, control, value };
  const device = measured.device(node);
  const { personId } = device;
  const person = personId === null ? undefined : entry(measured.rig.people, personId);
  const mouth = person && mouthOf(person);
  const spot = placedSpot(measured.rig, device);
  if (!mouth || !spot) return [set];
  const there = stoodAt(measured, node.id);
  const by = moveToMouth(mouth, spot, there ? middleM(there) : null, value);
  // Far below the mouth no move along the floor brings it as near.
  if (!by) return [set];
  return [set, ...moveDevice(measured, node.id, device, by)];
};
