import type { DeviceNode } from '../graph';
import type { Measured } from '../passes/measure';
import { distanceBetween, middleM, mouthOf, placedSpot, rise, stoodAt } from '../passes/place';
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
  const upM = rise(mouth, { zM: there ? middleM(there) : null });
  const flatM = distanceBetween(mouth, spot);
  // Far below the mouth no move along the floor brings it as near.
  if (Math.abs(upM) >= value || flatM === 0) return [set];
  const share = Math.sqrt(value ** 2 - upM ** 2) / flatM - 1;
  const by = { xM: (spot.xM - mouth.xM) * share, yM: (spot.yM - mouth.yM) * share };
  return [set, ...moveDevice(measured, node.id, device, by)];
};
