import { figure } from '../../explain/sum';
import type { Measured } from '../../measure';
import { entry, numberSetting } from '../../rig';
import type { MicrophoneInRoom } from '../../room';
import type { Fix } from '../rule';
import { setFix, steppedNear } from '../rule-of';

/** Words and remedies that the rules of the room share. */

/** Nearer than this, breath and lips win. @unit m */
export const NEAREST_TO_MOUTH_M = 0.04;

export const personName = (measured: Measured, id: string | null): string => (id === null ? undefined : entry(measured.rig.people, id)?.name) ?? 'nobody';

/** The microphone nearer to its mouth by so many decibels, where the mouth leaves room for it. @param byDb above 0 */
export const closerFix = ({ node, distanceM }: MicrophoneInRoom, byDb: number): Fix[] => {
  const source = node.port.emits?.sound;
  const { device, id } = node.device;
  if (source?.type !== 'microphone' || distanceM === null || device.at) return [];
  const wanted = Math.floor(100 * distanceM * 10 ** (-byDb / 20)) / 100;
  const value = wanted < NEAREST_TO_MOUTH_M ? null : steppedNear(device, source.distanceControl, wanted);
  return value === null || value >= (numberSetting(device, source.distanceControl) ?? 0) ? [] : [setFix(`Move ${device.name} to ${figure(value * 100, 0)} cm`, id, source.distanceControl, value)];
};
