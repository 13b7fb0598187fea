import {
  type Analysis,
  type Arriving,
  type DelayKnob,
  entry,
  knobKey,
  type Pair,
} from '@echo-loom/core';

/** Offsets as they are read, and as they would be while a delay is turned. Milliseconds. */

/** Delays being turned and not yet let go of, by their key. */
export type Turned = ReadonlyMap<string, number>;

const movedBy = ({ knobs }: Arriving, turned: Turned): number =>
  knobs.reduce((total, knob) => total + ((turned.get(knobKey(knob)) ?? knob.ms) - knob.ms), 0);

/** What delays that are being turned do to a pair. */
export const turnedBy = ({ sound, picture }: Pair, turned: Turned): number =>
  turned.size === 0 ? 0 : movedBy(sound, turned) - movedBy(picture, turned);

/** `−143.77` */
export const msText = (ms: number): string => {
  const text = ms.toFixed(2);
  return (Number(text) === 0 ? '0.00' : text).replace('-', '−');
};

/** `143.77 ms early, 4.31 frames` */
export const offsetText = (offsetMs: number, frameMs: number | null): string => {
  const ms = `${msText(offsetMs)} ms`;
  if (Math.abs(offsetMs) < 0.005) return ms;
  const frames = frameMs === null ? '' : `, ${(Math.abs(offsetMs) / frameMs).toFixed(2)} frames`;
  return `${ms}${frames} ${offsetMs < 0 ? 'early' : 'late'}`;
};

/** `Host mic and 3 more` */
export const whoText = ({ rig }: Analysis, { sourceIds }: Arriving): string => {
  const [first = ''] = sourceIds;
  const name = entry(rig.devices, first)?.name ?? first;
  return sourceIds.length > 1 ? `${name} and ${sourceIds.length - 1} more` : name;
};

export const allNames = ({ rig }: Analysis, { sourceIds }: Arriving): string =>
  sourceIds.map((id) => entry(rig.devices, id)?.name ?? id).join(', ');

/** `Input 2 of Switcher` */
export const socketText = ({ rig }: Analysis, { deviceId, portId }: DelayKnob): string => {
  const device = entry(rig.devices, deviceId);
  return `${device?.name ?? deviceId}, ${entry(device?.model.ports ?? {}, portId)?.name ?? portId}`;
};
