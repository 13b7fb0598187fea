import { steppedNear } from '../../edits/stepped';
import type { Fix } from '../../edits/fix';
import { atMouth } from '../../edits/mouth';
import { sourceOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { ifItWere, type MicrophoneInRoom } from '../../passes/room';
import { voices } from '../../passes/sound/ladder';
import { figure } from '../../passes/sum';
import { entry } from '../../rig';
import { batchFix } from '../rule-of';
import { withGain } from './level';

/** Words and remedies that the rules of the room share. */

/** Nearer than this, breath and lips win. @unit m */
export const NEAREST_TO_MOUTH_M = 0.04;

export const personName = (measured: Measured, id: string | null): string =>
  (id === null ? undefined : entry(measured.rig.people, id)?.name) ?? 'nobody';

/**
 * The microphone at another distance, also on the plan where it stands there by itself, with its gains set
 * for it. @param value m
 */
export const movedTo = (
  measured: Measured,
  { node }: Pick<MicrophoneInRoom, 'node'>,
  control: string,
  value: number,
): Fix => {
  const label = `Move ${measured.device(node.device).name} to ${figure(value * 100, 0)} cm`;
  const commands = atMouth(measured, node.device, control, value);
  const voice = voices(measured).find((stage) => sourceOf(stage).at === node);
  // Nearer is louder: the gains follow.
  return voice ? withGain(measured, voice, commands, label) : batchFix(label, commands);
};

/**
 * The microphone as little nearer to its mouth as will do, tried centimetre by centimetre: nearer
 * to the mouth it may also be nearer to a noise.
 * @param isWell whether the microphone, where it would be, is well
 */
export const closerFix = (
  measured: Measured,
  microphone: MicrophoneInRoom,
  isWell: (there: MicrophoneInRoom) => boolean,
): Fix[] => {
  const source = microphone.node.port.emits?.sound;
  const device = measured.device(microphone.node.device);
  if (source?.type !== 'microphone' || microphone.distanceM === null) return [];
  for (let cm = Math.ceil(microphone.distanceM * 100) - 1; cm >= NEAREST_TO_MOUTH_M * 100; cm--) {
    const value = steppedNear(device, source.distanceControl, cm / 100);
    const there = value === null ? null : ifItWere(measured, microphone, { distanceM: value });
    if (value !== null && there && isWell(there))
      return [movedTo(measured, microphone, source.distanceControl, value)];
  }
  return [];
};
