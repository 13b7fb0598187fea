import type { InRoom, Vector } from '../place';

/**
 * Light from sources on planes. Lengths in metres, angles in degrees, light in lux.
 * @source handbook 6-light: E = lux@1m × dimmer × transmission ÷ d² × cos(incidence) × beam falloff
 */

/** Something that gives light, as far as its light goes. */
export interface Shining {
  readonly at: InRoom;
  /** Where it is brightest, and its own right and up: unit vectors */
  readonly axis: Vector;
  readonly right: Vector;
  readonly up: Vector;
  /** On its axis, 1 m away, undimmed: its luminous intensity in cd. @unit lux */
  readonly luxAt1m: number;
  /** Half-power beam; beyond 180 it gives the same all round */
  readonly beamDeg: number;
  /** The face that gives light */
  readonly widthM: number;
  readonly heightM: number;
}

const RADIANS = Math.PI / 180;

/** The m of cosᵐ for a half-power beam: 60° gives 4.82, 120° gives 1. @param beamDeg above 0, to 180 */
export const falloffExponent = (beamDeg: number): number =>
  beamDeg >= 180 ? 0 : Math.log(0.5) / Math.log(Math.cos((beamDeg / 2) * RADIANS));

/** Of the light on the axis, what goes so far aside. @returns 0 behind a lamp that does not shine all round */
export const falloff = (beamDeg: number, offAxisDeg: number): number =>
  beamDeg > 180 ? 1 : falloffTo(falloffExponent(beamDeg), Math.cos(offAxisDeg * RADIANS));

const falloffTo = (exponent: number, cosine: number): number =>
  cosine <= 1e-12 ? 0 : cosine ** exponent;

/** By the inverse square, on a plane that the light meets at an angle. @unit lux */
export const pointLux = (
  luxAt1m: number,
  distanceM: number,
  incidenceDeg: number,
  offAxisDeg = 0,
  beamDeg = 180,
): number =>
  (luxAt1m * Math.max(0, Math.cos(incidenceDeg * RADIANS)) * falloff(beamDeg, offAxisDeg)) /
  distanceM ** 2;

/** Nearer than this nobody holds anything to a lamp. @unit m */
const NEAREST_M = 0.02;
/** A source larger than this share of its distance is summed over its face. @source handbook 6-light */
const LARGE_SHARE = 1 / 5;
/** Parts of a face to either side, where it is summed. */
const PARTS = 8;

/**
 * What one part of a source gives, which lies so far from the point. Plain numbers, not vectors: backgrounds and the
 * plan ask for it a hundred thousand times.
 * @param exponent of its falloff; null where it shines all round
 */
const partLux = (
  x: number,
  y: number,
  z: number,
  { axis, luxAt1m }: Shining,
  exponent: number | null,
  normal: Vector,
): number => {
  const distanceM = Math.max(NEAREST_M, Math.hypot(x, y, z));
  const incidence = (x * normal[0] + y * normal[1] + z * normal[2]) / distanceM;
  if (incidence <= 0) return 0;
  const share =
    exponent === null
      ? 1
      : falloffTo(exponent, -(x * axis[0] + y * axis[1] + z * axis[2]) / distanceM);
  return (luxAt1m * incidence * share) / distanceM ** 2;
};

/** The parts that a face is cut into, by its width and its height: as many as it needs from so far. */
const partsOf = (sizeM: number, distanceM: number): number =>
  sizeM > LARGE_SHARE * distanceM ? PARTS : 1;

/**
 * What a source gives on a plane, undimmed.
 * @param normal of the plane, a unit vector
 * @unit lux
 */
export const illuminance = (source: Shining, point: InRoom, normal: Vector): number => {
  const { at, right, up, widthM, heightM, beamDeg } = source;
  const [x, y, z] = [at.xM - point.xM, at.yM - point.yM, at.zM - point.zM];
  const distanceM = Math.hypot(x, y, z);
  const across = partsOf(widthM, distanceM);
  const upwards = partsOf(heightM, distanceM);
  const exponent = beamDeg > 180 ? null : falloffExponent(beamDeg);
  if (across * upwards === 1) return partLux(x, y, z, source, exponent, normal);
  let sum = 0;
  for (let column = 0; column < across; column++) {
    const aside = ((column + 0.5) / across - 0.5) * widthM;
    const columnX = at.xM + aside * right[0];
    const columnY = at.yM + aside * right[1];
    const columnZ = at.zM + aside * right[2];
    for (let row = 0; row < upwards; row++) {
      const above = ((row + 0.5) / upwards - 0.5) * heightM;
      sum += partLux(
        columnX + above * up[0] - point.xM,
        columnY + above * up[1] - point.yM,
        columnZ + above * up[2] - point.zM,
        source,
        exponent,
        normal,
      );
    }
  }
  return sum / (across * upwards);
};

/** All the light a source gives off. @unit lm */
export const fluxLm = ({ luxAt1m, beamDeg }: Pick<Shining, 'luxAt1m' | 'beamDeg'>): number =>
  beamDeg > 180 ? 4 * Math.PI * luxAt1m : (2 * Math.PI * luxAt1m) / (falloffExponent(beamDeg) + 1);

/**
 * What the walls send back everywhere, once light has gone round the room.
 * @param reflects mean reflectance of all surfaces, under 1 @param surfaceM2 of all of them
 * @unit lux @source the integrating sphere: Φ·ρ ÷ (A·(1 − ρ))
 */
export const roomLux = (flux: number, reflects: number, surfaceM2: number): number =>
  (flux * reflects) / (surfaceM2 * (1 - reflects));

/** Between two amounts of light. @unit stops; the second is that much more */
export const stopsBetween = (less: number, more: number): number => Math.log2(more / less);

/** Colour as differences of it are seen alike. @unit mired */
export const mired = (kelvin: number): number => 1e6 / kelvin;

/** Between two colours of light. @unit mired */
export const miredBetween = (a: number, b: number): number => Math.abs(mired(a) - mired(b));

/** How high a tilted face reaches: its centre, and half of it as far as it still stands upright. @unit m */
export const topOfTilted = (centreM: number, heightM: number, tiltDeg: number): number =>
  centreM + (heightM / 2) * Math.cos(tiltDeg * RADIANS);

/** How wide a source looks from a place. @unit degrees */
export const seenDeg = (sizeM: number, distanceM: number): number =>
  (2 * Math.atan(sizeM / 2 / distanceM)) / RADIANS;

/** Width of the soft edge of a shadow. @param throwM from what throws it to where it falls @unit m */
export const shadowEdgeM = (sourceM: number, sourceToThrowerM: number, throwM: number): number =>
  (sourceM * throwM) / sourceToThrowerM;
