import {
  glintOf,
  isGlare,
  type LightSource,
  onFace,
  litRoom,
  topOfTilted,
  seenFaces,
} from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { groundOf, groundOfWay, solids } from '../../passes/place';
import { pointInPicture, views } from '../../passes/view';
import { isInside } from '../../rig';

/** Where a lamp must not stand: outside, through the ceiling, in a walkway, in somebody, in a picture, in glasses. */

/** Ahead of a lens. @unit m */
const inPicture = (measured: Measured, { at, widthM, heightM }: LightSource): boolean =>
  views(measured).some(({ camera }) => {
    const point = pointInPicture(camera, at);
    if (!point) return false;
    const farM = Math.hypot(at.xM - camera.at.xM, at.yM - camera.at.yM, at.zM - camera.at.zM);
    const across = 1 + widthM / 2 / camera.halfWidth / farM;
    const up = 1 + heightM / 2 / camera.halfHeight / farM;
    return Math.abs(point.x) < across && Math.abs(point.y) < up;
  });

const inGlasses = (measured: Measured, source: LightSource): boolean =>
  seenFaces(measured).some((face) => {
    if (!face.person.wearsGlasses) return false;
    const part = onFace(source, face.eyes, face.person.at?.facingDeg ?? 0, litRoom(measured));
    return views(measured).some(
      ({ camera, onPlan }) =>
        onPlan.peopleIds.includes(face.personId) && isGlare(glintOf(face, part, camera.at)),
    );
  });

/** Why a lamp must not stand where it would. @returns null where nothing is against it */
export const whyNot = (measured: Measured, source: LightSource): string | null => {
  const { shell, walkways } = measured.rig;
  const { at, axis, heightM } = source;
  const tilt = (Math.atan2(-axis[2], Math.hypot(axis[0], axis[1])) * 180) / Math.PI;
  if (shell && !isInside(shell.corners, at)) return 'outside the room';
  if (shell && topOfTilted(at.zM, heightM, tilt) > shell.heightM) return 'through the ceiling';
  if (Object.values(walkways).some((way) => isInside(groundOfWay(way), at))) return 'in a walkway';
  if (solids(measured).people.some((solid) => isInside(groundOf(solid), at))) return 'in somebody';
  if (inPicture(measured, source)) return 'in a picture';
  if (inGlasses(measured, source)) return 'in somebody’s glasses';
  return null;
};
