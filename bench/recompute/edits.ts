import type { Rig, SimpleCommand } from '@echo-loom/core';

/** Edits of one device, as people make them: each kind goes round the devices of the rig it is for. */

export type EditKind = 'microphone gain' | 'mix level' | 'distance' | 'format' | 'name' | 'place';

interface Knob {
  readonly deviceId: string;
  readonly control: string;
  readonly values: readonly (number | string)[];
}

/** Five settings of every gain that a plugged input leads through. */
const gainsOf = (rig: Rig): Knob[] => {
  const plugged = new Set(
    Object.values(rig.links).flatMap(({ from, to }) =>
      [from, to].map(({ deviceId, portId }) => `${deviceId}.${portId}`),
    ),
  );
  const knobs = new Map<string, Knob>();
  for (const [deviceId, { model }] of Object.entries(rig.devices))
    for (const { sound, from } of Object.values(model.routes)) {
      const gain = sound?.gain;
      if (!gain || !('control' in gain)) continue;
      const control = model.controls[gain.control];
      if (control?.type !== 'gain' || !from.some((port) => plugged.has(`${deviceId}.${port}`)))
        continue;
      knobs.set(`${deviceId}.${gain.control}`, {
        deviceId,
        control: gain.control,
        values: [0, 1, 2, 3, 4].map((step) =>
          Math.min(control.maxDb, control.minDb + step * control.stepDb),
        ),
      });
    }
  return [...knobs.values()];
};

const isPreamp = (rig: Rig, { deviceId, control }: Knob): boolean =>
  Object.values(rig.devices[deviceId]?.model.routes ?? {}).some(
    ({ sound }) =>
      sound?.toDigital !== undefined &&
      sound.gain !== undefined &&
      'control' in sound.gain &&
      sound.gain.control === control,
  );

const formatsOf = (rig: Rig): Knob[] =>
  Object.entries(rig.devices).flatMap(([deviceId, { model }]) =>
    Object.values(model.ports).flatMap(({ emits }): Knob[] => {
      const control = emits?.picture && model.controls[emits.picture.formatControl];
      return emits?.picture && control?.type === 'choice'
        ? [
            {
              deviceId,
              control: emits.picture.formatControl,
              values: control.options.map(({ value }) => value),
            },
          ]
        : [];
    }),
  );

const turning =
  (knobs: readonly Knob[]) =>
  (n: number): SimpleCommand | null => {
    const knob = knobs[(n * 7) % Math.max(1, knobs.length)];
    const value = knob?.values[n % knob.values.length];
    return knob && value !== undefined
      ? { type: 'setControl', deviceId: knob.deviceId, control: knob.control, value }
      : null;
  };

/** The n-th edit of each kind; null where the rig has nothing of the kind. */
export const editsOf = (
  rig: Rig,
): Readonly<Record<EditKind, (n: number) => SimpleCommand | null>> => {
  const ids = Object.keys(rig.devices);
  const near = ids.flatMap((deviceId): Knob[] =>
    rig.devices[deviceId]?.model.controls['distance']
      ? [{ deviceId, control: 'distance', values: [0.1, 0.12] }]
      : [],
  );
  const gains = gainsOf(rig);
  const idAt = (n: number): string => ids[(n * 13) % ids.length] ?? '';
  return {
    'microphone gain': turning(gains.filter((knob) => isPreamp(rig, knob))),
    'mix level': turning(gains.filter((knob) => !isPreamp(rig, knob))),
    distance: turning(near),
    format: turning(formatsOf(rig)),
    name: (n) => ({ type: 'renameDevice', deviceId: idAt(n), name: `Device ${n}` }),
    place: (n) => ({
      type: 'placeDevice',
      deviceId: idAt(n),
      at: { xM: 1 + (n % 5) / 10, yM: 1, facingDeg: 0 },
      aim: null,
    }),
  };
};
