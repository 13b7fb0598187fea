import { dimTo } from '../../edits/light';
import {
  type FaceLight,
  isLit,
  lampSources,
  type LightSource,
  type OnFace,
  seenFaces,
} from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { distanceInRoom } from '../../passes/place';
import type { SimpleCommand } from '../../rig';
import type { About } from '../about';

/** Faces as the rules of light look at them. */

/** Faces that are to be seen, once anybody has said anything of light. */
export const litFaces = (measured: Measured): readonly FaceLight[] =>
  isLit(measured) ? seenFaces(measured) : [];

/** Less than this on a face is no light to work with. @unit lux */
export const UNLIT_LUX = 40;
/** Nearer to straight ahead than this there is no side. @unit degrees */
export const NO_SIDE_DEG = 10;

/** Each lamp turned up or down by a factor. */
export const dimmedBy = (
  measured: Measured,
  parts: readonly OnFace[],
  factor: number,
): SimpleCommand[] =>
  parts.flatMap(({ source }) => dimTo(measured, source.id, 100 * source.share * factor));

export const ofLamp = ({ id }: Pick<LightSource, 'id'>): About => ({
  kind: 'device',
  deviceId: id,
});

/** The lamps that are turned on. */
export const burning = (measured: Measured): LightSource[] =>
  lampSources(measured).filter(({ share }) => share > 0);

/** From a face to a lamp. @unit m */
export const distanceTo = ({ eyes }: Pick<FaceLight, 'eyes'>, { at }: LightSource): number =>
  distanceInRoom(eyes, at);
