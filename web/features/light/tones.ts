import { GREY, SENSOR_STOPS } from '@echo-loom/core';

/** How bright something looks once a camera has exposed it. */

/** From light to the value of a picture. @source IEC 61966-2-1, the curve of sRGB */
const encoded = (linear: number): number =>
  linear <= 0.003_130_8 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;

/** A value of a picture, 0 to 1. @param sentBack light × reflectance @param neededLux what the camera needs */
export const toneOf = (sentBack: number, neededLux: number): number =>
  Math.min(1, Math.max(0, encoded(sentBack / neededLux)));

/** Whether it is white, and nothing brings it back. */
export const isWhite = (stops: number): boolean => stops > SENSOR_STOPS.over;

/** A grey of the picture. @param value 0 to 1 */
export const greyOf = (value: number): string => {
  const level = Math.round(255 * value);
  return `rgb(${level} ${level} ${level})`;
};

/** The same for something so many stops from middle grey. */
export const greyAt = (stops: number): string => greyOf(Math.min(1, encoded(GREY * 2 ** stops)));
