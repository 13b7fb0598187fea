/**
 * Lens, sensor and distance. Lengths on the sensor side are millimetres, in the room metres.
 * @source handbook 3-picture, framing; depth of field and blur by the thin lens
 */

/**
 * Width or height of the field that a sensor sees.
 * @param distanceM lens to subject, m @param sensorMm active width or height, mode crop taken off,
 * mm @param focalMm focal length, mm
 * @unit m
 */
export const fieldM = (distanceM: number, sensorMm: number, focalMm: number): number =>
  (distanceM * sensorMm) / focalMm;

/** Where the camera must stand to frame a height (or a width). @unit m */
export const distanceForM = (focalMm: number, framedM: number, sensorMm: number): number =>
  (focalMm * framedM) / sensorMm;

/** The focal length that frames a height (or a width) from a distance. @unit mm */
export const focalForMm = (distanceM: number, framedM: number, sensorMm: number): number =>
  (distanceM * sensorMm) / framedM;

/** A sensor's width once a mode has cropped it. @param crop 1 or more @unit mm */
export const croppedMm = (sensorMm: number, crop: number): number => sensorMm / crop;

/** Width of the full frame that lenses are spoken of in. @unit mm */
const FULL_FRAME_MM = 36;
/** The lens of a 36 mm wide sensor that would see the same field. @unit mm */
export const fullFrameFocalMm = (focalMm: number, sensorWidthMm: number): number =>
  (focalMm * FULL_FRAME_MM) / sensorWidthMm;

/** Circle of confusion: the sensor's width over 1200, as a picture two metres wide is looked at from two. @unit mm */
const SHARP_POINTS = 1200;
export const circleOfConfusionMm = (sensorWidthMm: number): number => sensorWidthMm / SHARP_POINTS;

/** Distance beyond which everything is sharp when the lens is set to it. @param fNumber N @param circleMm c @unit m */
export const hyperfocalM = (focalMm: number, fNumber: number, circleMm: number): number =>
  (focalMm ** 2 / (fNumber * circleMm) + focalMm) / 1000;

/**
 * From where to where things are sharp. @returns metres from the lens; `farM` is Infinity beyond
 * the hyperfocal distance
 */
export const depthOfField = (
  focalMm: number,
  fNumber: number,
  circleMm: number,
  distanceM: number,
): { readonly nearM: number; readonly farM: number } => {
  const hyperfocal = hyperfocalM(focalMm, fNumber, circleMm);
  const focalM = focalMm / 1000;
  const nearM = (distanceM * (hyperfocal - focalM)) / (hyperfocal + distanceM - 2 * focalM);
  return {
    nearM,
    farM:
      distanceM >= hyperfocal
        ? Infinity
        : (distanceM * (hyperfocal - focalM)) / (hyperfocal - distanceM),
  };
};

/**
 * Size of the spot that a point of the background becomes, in percent of the frame's width.
 * @param subjectM lens to subject @param backgroundM lens to background, not nearer than the subject
 * @unit %
 */
export const backgroundBlurPercent = (
  focalMm: number,
  fNumber: number,
  subjectM: number,
  backgroundM: number,
  sensorWidthMm: number,
): number =>
  (100 * (focalMm ** 2 / fNumber) * Math.abs(backgroundM - subjectM) * 1000) /
  (backgroundM * 1000 * (subjectM * 1000 - focalMm)) /
  sensorWidthMm;

const DEGREES = 180 / Math.PI;

/**
 * Angle between the lens and what the talker looks at. @param offsetM lens to what is looked at
 * @param distanceM eyes to lens @unit °
 */
export const eyeLineDeg = (offsetM: number, distanceM: number): number =>
  Math.atan(offsetM / distanceM) * DEGREES;

/**
 * How far a camera on a slider must pan to hold its subject over its travel, half of it to either
 * side. @unit ° in all
 */
export const panRangeDeg = (travelM: number, distanceM: number): number =>
  2 * Math.atan(travelM / 2 / distanceM) * DEGREES;

/** Travel from the middle after which the subject's middle has left the frame, without a pan. @unit m */
export const travelToLoseM = (fieldWidthM: number): number => fieldWidthM / 2;

/**
 * Light that must fall on the subject.
 * @param shutterPerS 1/t, s⁻¹ @param iso sensitivity @unit lux @source ISO 2720, constant 250
 */
export const lightNeededLux = (fNumber: number, shutterPerS: number, iso: number): number =>
  (250 * fNumber ** 2 * shutterPerS) / iso;

/** Stops between the light there is and the light needed: above 0 there is too much. */
export const stopsOver = (lightLux: number, neededLux: number): number =>
  Math.log2(lightLux / neededLux);
