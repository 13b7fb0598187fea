import {
  directLux,
  type FaceLight,
  type LightSource,
  litRoom,
  type LitBackdrop,
  normalOf,
  onFace,
  roomLuxOf,
} from '../../passes/light';
import type { Measured } from '../../passes/measured';
import type { LightTask, Turned } from './wish';

/** A task as it would be with another lamp, or with a lamp somewhere else. */

const faceWith = (measured: Measured, face: FaceLight, source: LightSource): FaceLight => {
  const part = onFace(source, face.eyes, face.person.at?.facingDeg ?? 0, litRoom(measured));
  const others = face.parts.filter((one) => one.source.id !== source.id);
  return { ...face, parts: [...others, part] };
};

const backdropWith = (
  measured: Measured,
  lit: LitBackdrop,
  source: LightSource,
  wasShare: number,
): LitBackdrop => {
  const normal = normalOf(lit.backdrop);
  const room = roomLuxOf(litRoom(measured), source);
  return {
    ...lit,
    points: lit.points.map((point) => {
      const before = point.full.get(source.id);
      const now = directLux(source, point.at, normal);
      const full = new Map(point.full).set(source.id, now);
      // What the walls send back of it stays where it only moves.
      const lux =
        before === undefined && wasShare === 0
          ? point.lux + source.share * (now + room)
          : point.lux + source.share * now - wasShare * (before ?? 0);
      return { ...point, lux, full };
    }),
  };
};

/**
 * The task with one lamp exchanged for what it would be elsewhere, or with one more.
 * @param turned said of a lamp that is not in the rig yet
 */
export const withLamp = (
  measured: Measured,
  task: LightTask,
  source: LightSource,
  turned?: Omit<Turned, 'room' | 'glare'>,
): LightTask => {
  const room = roomLuxOf(litRoom(measured), source);
  const was = task.lamps.find(({ id }) => id === source.id);
  const faces = task.faces.map((wanted) => ({
    ...wanted,
    face: faceWith(measured, wanted.face, source),
    behind: wanted.behind && {
      ...wanted.behind,
      lit: backdropWith(measured, wanted.behind.lit, source, was?.share ?? 0),
    },
  }));
  return {
    ...task,
    faces,
    lamps: was
      ? task.lamps.map((lamp) => (lamp.id === source.id ? { ...lamp, room } : lamp))
      : [...task.lamps, ...(turned ? [{ ...turned, room, glare: 0 }] : [])],
    screens: task.screens.map((lit) => backdropWith(measured, lit, source, was?.share ?? 0)),
    boards: task.boards.map((lit) => backdropWith(measured, lit, source, was?.share ?? 0)),
  };
};

/** The task with other figures wanted on the faces. @param by more than now, as a factor */
export const withNeed = (task: LightTask, by: number): LightTask => ({
  ...task,
  faces: task.faces.map((wanted) => ({ ...wanted, lux: wanted.lux * by })),
});
