import { areaOf, lengthOfWalls } from '../../rig';
import { pass } from '../pass';
import { dot, type InRoom, type Vector } from '../place';
import { fluxLm, illuminance, roomLux } from './photometry';
import { type LightSource, lightSources, sunReaches } from './sources';

/** What one source gives at a plane, as its dimmer stands and turned up. @unit lux */
export interface Share {
  readonly source: LightSource;
  /** Straight from it, turned up */
  readonly full: number;
  readonly lux: number;
}

/** What a source gives straight on a plane, turned up. @unit lux */
export const directLux = (source: LightSource, point: InRoom, normal: Vector): number =>
  illuminance(source, point, normal) +
  (source.beam && sunReaches(source, point)
    ? source.beam.lux * Math.max(0, dot(source.beam.towards, normal))
    : 0);

/** What each source gives on a plane; those that give nothing are left out. */
export const sharesAt = (
  sources: readonly LightSource[],
  point: InRoom,
  normal: Vector,
): readonly Share[] =>
  sources.flatMap((source) => {
    const full = directLux(source, point, normal);
    return full > 0 ? [{ source, full, lux: full * source.share }] : [];
  });

export const luxOf = (shares: readonly Share[]): number =>
  shares.reduce((sum, { lux }) => sum + lux, 0);

/** Mean reflectances of floor, walls and ceiling of a room nobody has said more of. Typical. */
const FLOOR_REFLECTS = 0.2;
const WALLS_REFLECT = 0.5;
const CEILING_REFLECTS = 0.7;

/** The room as light meets it. */
export interface LitRoom {
  /** Of all surfaces. @unit m² */
  readonly surfaceM2: number;
  /** Mean, by their areas */
  readonly reflects: number;
  readonly isTypical: boolean;
}

/** @returns null where the room is not drawn */
export const litRoom = pass('lit room', ({ rig: { shell, lightRules } }): LitRoom | null => {
  if (!shell) return null;
  const floorM2 = areaOf(shell.corners);
  const wallsM2 = lengthOfWalls(shell.corners) * shell.heightM;
  const surfaceM2 = 2 * floorM2 + wallsM2;
  const typical =
    (floorM2 * (FLOOR_REFLECTS + CEILING_REFLECTS) + wallsM2 * WALLS_REFLECT) / surfaceM2;
  return {
    surfaceM2,
    reflects: lightRules.reflects ?? typical,
    isTypical: lightRules.reflects === null,
  };
});

/** All the light of a source, with the sun that it lets in. @unit lm */
const fluxOf = (source: LightSource): number =>
  fluxLm(source) +
  (source.beam
    ? source.beam.lux *
      Math.max(0, -dot(source.beam.towards, source.axis)) *
      source.widthM *
      source.heightM
    : 0);

/** What comes back from the walls of each source, everywhere alike, turned up. @unit lux */
export const roomLuxOf = (room: LitRoom | null, source: LightSource): number =>
  room ? roomLux(fluxOf(source), room.reflects, room.surfaceM2) : 0;

/** The same of all sources together, as they are set. @unit lux */
export const fromRoom = pass('light from the room', (measured): number => {
  const room = litRoom(measured);
  return lightSources(measured).reduce(
    (sum, source) => sum + source.share * roomLuxOf(room, source),
    0,
  );
});
