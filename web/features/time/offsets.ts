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

/** `4.31 frames early` */
export const framesText = (offsetMs: number, frameMs: number | null): string => {
  if (Math.abs(offsetMs) < 0.005) return '';
  const frames = frameMs === null ? '' : `${(Math.abs(offsetMs) / frameMs).toFixed(2)} frames `;
  return `${frames}${offsetMs < 0 ? 'early' : 'late'}`;
};

/** `Host mic and 3 more`, and by which socket where the same come by several. */
export const whoText = (
  { rig }: Analysis,
  arriving: Arriving,
  among: readonly Arriving[] = [],
): string => {
  const { sourceIds, knobs } = arriving;
  const [first = ''] = sourceIds;
  const name = entry(rig.devices, first)?.name ?? first;
  const isOneOf = among.some((other) => other !== arriving && other.sourceIds.includes(first));
  const last = knobs.at(-1);
  const ports = last && entry(rig.devices, last.deviceId)?.model.ports;
  const by =
    isOneOf && last && ports ? `, by ${entry(ports, last.portId)?.name ?? last.portId}` : '';
  return `${name}${sourceIds.length > 1 ? ` and ${sourceIds.length - 1} more` : ''}${by}`;
};

export const allNames = ({ rig }: Analysis, { sourceIds }: Arriving): string =>
  sourceIds.map((id) => entry(rig.devices, id)?.name ?? id).join(', ');

/** `Input 2 of Switcher` */
export const socketText = ({ rig }: Analysis, { deviceId, portId }: DelayKnob): string => {
  const device = entry(rig.devices, deviceId);
  return `${device?.name ?? deviceId}, ${entry(device?.model.ports ?? {}, portId)?.name ?? portId}`;
};
