import type { Measured } from '../measured';
import { cross, fromTo, type InRoom, rightOf, unit } from '../place';
import { litRoom } from './at';
import { type FaceLight, faceFigures, onFace, type OnFace } from './faces';
import { type LightSource, targetOf } from './sources';

/** What faces would be lit like if lamps stood or were set otherwise, without a new analysis. */

/** A lamp as it would shine from another place, still pointed at what it is pointed at. */
export const movedTo = ({ rig }: Measured, source: LightSource, at: InRoom): LightSource => {
  const target = source.lamp && targetOf(rig, source.lamp.aim);
  const axis = target ? unit(fromTo(at, target)) : source.axis;
  const right = rightOf(axis);
  return { ...source, at, axis, right, up: cross(right, axis) };
};

/** A part of a face's light with its dimmer somewhere else. @param share 0 to 1 */
export const dimmedPart = (part: OnFace, share: number): OnFace => ({
  ...part,
  source: { ...part.source, share },
  lux: share * part.full.lux,
  leftLux: share * part.full.leftLux,
  rightLux: share * part.full.rightLux,
  hairLux: share * part.full.hairLux,
});

/** A face with other parts: what the walls send back follows them. */
export const withParts = (face: FaceLight, parts: readonly OnFace[]): FaceLight => ({
  ...face,
  parts,
  ...faceFigures(
    parts,
    parts.reduce((sum, { source, roomFull }) => sum + source.share * roomFull, 0),
  ),
});

/** Faces with some lamps at other dimmers. @param shares by lamp, 0 to 1; those left out stay */
export const withShares = (
  face: FaceLight,
  shares: Readonly<Partial<Record<string, number>>>,
): FaceLight =>
  withParts(
    face,
    face.parts.map((part) => {
      const share = shares[part.source.id];
      return share === undefined ? part : dimmedPart(part, share);
    }),
  );

/** A face with one lamp exchanged for what it would be elsewhere. */
export const withSource = (measured: Measured, face: FaceLight, source: LightSource): FaceLight => {
  const facingDeg = face.person.at?.facingDeg ?? 0;
  const room = litRoom(measured);
  return withParts(
    face,
    face.parts.map((part) =>
      part.source.id === source.id ? onFace(source, face.eyes, facingDeg, room) : part,
    ),
  );
};
