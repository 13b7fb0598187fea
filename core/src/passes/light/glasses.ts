import {
  angleBetween,
  cross,
  dot,
  fromTo,
  type InRoom,
  looking,
  plus,
  rightOf,
  unit,
  type Vector,
} from '../place';
import type { FaceLight, OnFace } from './faces';
import { falloff } from './photometry';

/**
 * Lamps that show in glasses. The front of a lens is a piece of a ball: a reflection sits where its
 * surface looks half way between the camera and the lamp, and is seen if that place is on the lens. A
 * flat glass, as the handbook takes it, is the same with the lens’s middle alone.
 */

/** Radius of the front of a lens of five dioptres, n 1.53; typical. @unit mm */
export const LENS_RADIUS_MM = 106;
/** Half the width and half the height of a lens; typical. @unit mm */
export const LENS_HALF_MM = [25, 19] as const;
/** What one uncoated surface sends back. @source Fresnel, n 1.5 */
export const LENS_REFLECTS = 0.04;
/** People nod so far up while they talk; typical. @unit degrees */
export const NOD_DEG = 5;

const DEGREES = 180 / Math.PI;
const EDGE_DEG = LENS_HALF_MM.map((half) => Math.asin(half / LENS_RADIUS_MM) * DEGREES);

/** Where a lamp shows on a lens. */
export interface Glint {
  /** From the lens's middle to the wearer's right and upwards. @unit mm */
  readonly rightMm: number;
  readonly upMm: number;
  /** How far the reflection is past the edge of the lens; below 0 it is on it. @unit degrees of the lens */
  readonly outDeg: number;
  /** Past its upper or lower edge alone. @unit degrees */
  readonly outUpDeg: number;
  /** The lamp as it shows, against the skin beside it. @unit stops */
  readonly stops: number;
}

/** Half of what a source measures, as it is seen. @unit degrees */
const halfSeenDeg = (sizeM: number, distanceM: number): number =>
  Math.atan(sizeM / 2 / distanceM) * DEGREES;

/** Where the surface must look to send a source into a camera, off the middle of the lens. @unit degrees */
const offMiddle = (
  eyes: InRoom,
  facingDeg: number,
  tiltDeg: number,
  camera: InRoom,
  source: InRoom,
): { readonly rightDeg: number; readonly upDeg: number } => {
  const normal = looking(facingDeg, tiltDeg);
  const right = rightOf(normal);
  const up: Vector = cross(right, normal);
  const between = plus(unit(fromTo(eyes, camera)), unit(fromTo(eyes, source)));
  return {
    rightDeg: Math.atan2(dot(between, right), dot(between, normal)) * DEGREES,
    upDeg: Math.atan2(dot(between, up), dot(between, normal)) * DEGREES,
  };
};

/** Luminance of a source, seen from a place. @unit cd/m² */
export const luminance = ({ source, offAxisDeg }: Pick<OnFace, 'source' | 'offAxisDeg'>): number =>
  (source.share * source.luxAt1m * falloff(source.beamDeg, offAxisDeg)) /
  (source.widthM * source.heightM * Math.max(0.2, Math.cos((offAxisDeg * Math.PI) / 180)));

/**
 * Where a source shows in somebody's glasses.
 * @param at where the source stands, where that is not where it stands now
 * @returns null where it cannot show: from behind, or without light
 */
export const glintOf = (
  face: Pick<FaceLight, 'eyes' | 'person' | 'face' | 'lux'>,
  part: OnFace,
  camera: InRoom,
  at: InRoom = part.source.at,
): Glint | null => {
  const facingDeg = face.person.at?.facingDeg;
  const shines = luminance(part);
  if (facingDeg === undefined || shines === 0 || face.lux === 0) return null;
  const front = looking(facingDeg);
  if (angleBetween(fromTo(face.eyes, at), front) >= 90) return null;
  if (angleBetween(fromTo(face.eyes, camera), front) >= 90) return null;
  const { rightDeg, upDeg } = offMiddle(face.eyes, facingDeg, face.face.glassesTiltDeg, camera, at);
  const distanceM = Math.max(0.01, Math.hypot(...fromTo(face.eyes, at)));
  const { widthM, heightM } = part.source;
  const aside = Math.abs(rightDeg) - halfSeenDeg(widthM, distanceM) / 2 - (EDGE_DEG[0] ?? 0);
  const above = Math.abs(upDeg) - halfSeenDeg(heightM, distanceM) / 2 - (EDGE_DEG[1] ?? 0);
  const skin = (face.lux * face.face.skinReflects) / Math.PI;
  return {
    rightMm: LENS_RADIUS_MM * Math.sin(rightDeg / DEGREES),
    upMm: LENS_RADIUS_MM * Math.sin(upDeg / DEGREES),
    outDeg: Math.max(aside, above),
    outUpDeg: above,
    stops: Math.log2((LENS_REFLECTS * shines) / skin),
  };
};

/** Fainter than this against the skin nobody minds it. @unit stops */
export const GLINT_SEEN_STOPS = -1;

/** Whether a lamp is seen in the glasses. */
export const isGlare = (glint: Glint | null): glint is Glint =>
  glint !== null && glint.outDeg <= 0 && glint.stops >= GLINT_SEEN_STOPS;

/** Lamps are raised by hand: to the next so much. @unit m */
const STEP_M = 0.05;

/**
 * How far a source must rise until it has left the glasses.
 * @param mostM how far it can rise @param spareDeg how far past the edge of the lens it must be
 * @returns null where that is not enough @unit m
 */
export const raiseToClearM = (
  face: Pick<FaceLight, 'eyes' | 'person' | 'face' | 'lux'>,
  part: OnFace,
  camera: InRoom,
  mostM: number,
  spareDeg = 0,
): number | null => {
  for (let step = 1; step * STEP_M <= mostM + 1e-9; step++) {
    const by = step * STEP_M;
    const glint = glintOf(face, part, camera, { ...part.source.at, zM: part.source.at.zM + by });
    if (glint === null || glint.outDeg > spareDeg) return Number(by.toFixed(2));
  }
  return null;
};
