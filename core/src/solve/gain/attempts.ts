import { bought, microphoneInstead, phantomFor } from '../../edits/microphone';
import { atMouth } from '../../edits/mouth';
import { CATALOGUE } from '../../catalogue';
import { splice } from '../../edits/splice';
import type { Stage } from '../../graph';
import type { Measured } from '../../passes/measured';
import { FARTHER_M, fartherFrom, microphonesInRoom } from '../../passes/room';
import { figure } from '../../passes/sum';
import { entry, numberSetting, type SimpleCommand } from '../../rig';

/** Closest a mouth is sent to a microphone: nearer, breath and lips win. @unit m */
const NEAREST_M = 0.04;

export interface Attempt {
  readonly label: string;
  readonly commands: readonly SimpleCommand[];
  /** What it costs where that is not the price of devices: null = it depends on the room */
  readonly price?: null;
}

export const closer = (measured: Measured, source: Stage, missingDb: number): Attempt[] => {
  const emits = source.at.port.emits?.sound;
  const device = measured.device(source.at.device);
  const distanceM =
    emits?.type === 'microphone' ? numberSetting(device, emits.distanceControl) : undefined;
  if (emits?.type !== 'microphone' || distanceM === undefined || distanceM <= NEAREST_M) return [];
  const value = Math.max(
    NEAREST_M,
    Math.floor(100 * distanceM * 10 ** (-Math.max(missingDb, 3) / 20)) / 100,
  );
  return [
    {
      label: `Move ${device.name} to ${figure(value * 100, 0)} cm`,
      commands: atMouth(measured, source.at.device, emits.distanceControl, value),
    },
  ];
};

/** Microphones with the same plug, which the voice could have instead. */
export const otherMicrophones = (measured: Measured, source: Stage): Attempt[] => {
  const device = measured.device(source.at.device);
  return CATALOGUE.filter(
    ({ kind, classId, ports }) =>
      kind === 'microphone' &&
      classId !== device.model.classId &&
      ports[source.at.id]?.connector === source.at.port.connector &&
      ports[source.at.id]?.family === 'analogue',
  ).map((model) => ({
    label: `${model.name} instead of ${device.name}`,
    commands: microphoneInstead(source.at, model),
  }));
};

/** Something between the microphone and its input. */
export const between = (
  measured: Measured,
  source: Stage,
  classId: string,
  label: string,
): Attempt[] => {
  const [edge] = source.at.links;
  if (!edge || source.at.port.family !== 'analogue' || source.at.port.phantomNeedMa !== undefined)
    return [];
  const { commands } = splice(measured.rig, edge, classId, { in: 'in', out: 'out' });
  return [
    {
      label: `${label} after ${measured.device(source.at.device).name}`,
      commands: [...commands, ...(classId === 'booster-inline' ? phantomFor(source.at, true) : [])],
    },
  ];
};

/** Interfaces and mixers that could stand in the place of the one that makes it digital. */
export const otherInterfaces = (measured: Measured, stage: Stage): Attempt[] => {
  const { id } = stage.at.device;
  const device = measured.device(stage.at.device);
  return CATALOGUE.filter(
    ({ kind, classId }) =>
      kind === device.model.kind &&
      classId !== device.model.classId &&
      ['interface', 'mixer', 'recorder'].includes(kind),
  ).map((model) => ({
    label: `${model.name} instead of ${device.name}`,
    commands: bought(id, model),
  }));
};

/** What could be done to the room: half its echo, and the loudest noise taken away or moved off. */
export const quieterRoom = (measured: Measured, source: Stage): Attempt[] => {
  const { room, noises } = measured.rig;
  const microphone = microphonesInRoom(measured).find(({ node }) => node === source.at);
  const [loudest] = [...(microphone?.noises ?? [])].sort((a, b) => b.spl - a.spl);
  const noise = loudest && entry(noises, loudest.id);
  return [
    ...(room.rt60S === null || room.volumeM3 === null
      ? []
      : [
          {
            label: 'Treat the room until its echo is half as long',
            commands: [
              { type: 'setRoom' as const, room: { rt60S: Number((room.rt60S / 2).toFixed(2)) } },
            ],
            price: null,
          },
        ]),
    ...(loudest && noise?.at && microphone?.spot
      ? [
          {
            label: `Move ${noise.name} ${FARTHER_M} m farther away`,
            commands: [
              {
                type: 'changeNoise' as const,
                noiseId: loudest.id,
                noise: { at: fartherFrom(microphone.spot, noise.at, FARTHER_M) },
              },
            ],
          },
          {
            label: `Switch ${noise.name} off during the show`,
            commands: [
              { type: 'changeNoise' as const, noiseId: loudest.id, noise: { runs: false } },
            ],
          },
        ]
      : []),
  ];
};
