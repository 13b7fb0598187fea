import type { Framed } from '.';
import { numberSetting } from '../../rig';
import { framesPerSecond } from '../../units';

/** Shutters of shots, and what they do to frames and to lamps. */

/** Shutter times people can choose, as 1/s. */
const USUAL = [24, 25, 30, 48, 50, 60, 100, 120, 125, 200, 240, 250];

/** What somebody has set by hand. @unit 1/s; null where nobody has */
export const shutterOf = ({ camera, device, exposure }: Framed): number | null =>
  camera && exposure === 'set' && Object.hasOwn(device.settings, camera.shutterControl)
    ? (numberSetting(device, camera.shutterControl) ?? null)
    : null;

/** The shortest time that a frame leaves. @unit 1/s; null where the rate is not known */
export const framesOf = ({ format }: Pick<Framed, 'format'>): number | null =>
  format === null ? null : framesPerSecond(format);

/** A rate as people round it: 59.94 counts as 60. */
export const longerThanFrame = (shutter: number, frames: number): boolean =>
  shutter < Math.floor(frames) - 1e-9;

/** Whether an exposure holds whole cycles of a lamp on the mains. */
export const isSteady = (shutter: number, mainsHz: number): boolean => {
  const cycles = (2 * mainsHz) / shutter;
  return cycles >= 1 - 1e-9 && Math.abs(cycles - Math.round(cycles)) < 0.01;
};

/** The usual shutter nearest to one, of those that pass a test. */
export const nearestShutter = (
  to: number,
  passes: (shutter: number) => boolean,
): number | undefined =>
  USUAL.filter(passes).sort(
    (a, b) => Math.abs(Math.log(a / to)) - Math.abs(Math.log(b / to)) || a - b,
  )[0];
