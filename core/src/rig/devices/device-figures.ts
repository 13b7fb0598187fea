import { z } from 'zod';
import { FORMAT_PATTERN } from '../../units';
import { idSchema } from '../ids';

/**
 * Figures of a device as a whole, beside its ports and routes: a camera's optics, a switcher's
 * keyers, a drive, a computer's budget.
 */

const positive = z.number().positive().max(1e9);
const decibels = z.number().min(-300).max(300);
const formatText = z
  .string()
  .regex(FORMAT_PATTERN, 'expected a picture format such as 1920x1080p60');
/** Which control decides something, by its id in `controls`. */
const controlRef = idSchema;
const minutes = z.number().positive().max(100_000);

/** Sensor, lens and endurance of a camera. What is left out does not limit it. */
export const cameraFiguresSchema = z.strictObject({
  /** Active area of the sensor at 16:9 before any crop of a mode, mm */
  sensorWidthMm: positive.nullable(),
  sensorHeightMm: positive.nullable(),
  /** Further crop by format; a format left out has none */
  crops: z.record(formatText, z.number().min(1).max(10)),
  /** Controls with the focal length (mm), the f-number, the shutter time (as 1/s) and the sensitivity (ISO) */
  focalControl: controlRef,
  fNumberControl: controlRef,
  shutterControl: controlRef,
  isoControl: controlRef,
  /** The mount of a body that takes lenses; left out, its lens is built in */
  mount: z.string().trim().min(1).max(60).optional(),
  /** Switch: whether it sets aperture, shutter and sensitivity by itself */
  autoExposureControl: controlRef.optional(),
  /** Switch: whether it follows the focus by itself */
  autofocusControl: controlRef.optional(),
  /** Grey filter before the sensor, stops */
  greyControl: controlRef.optional(),
  /** Switch of a stabiliser, and by how much it crops the picture */
  stabiliser: z.strictObject({ control: controlRef, crop: z.number().min(1).max(3) }).optional(),
  /** Its own recording ends after so long; its outputs go on */
  recordLimitMin: minutes.optional(),
  /** It gets too hot after so long, by format */
  heatMin: z.record(formatText, minutes).optional(),
  /** It goes to sleep after so long unless the switch is off */
  sleep: z.strictObject({ afterMin: minutes, control: controlRef }).optional(),
  /** A battery lasts so long unless the switch says that it is on a mains adapter */
  battery: z.strictObject({ lastsMin: minutes, mainsControl: controlRef }).optional(),
  /** Noise of the focus motor while the switch is on, dB(A) SPL at 0.3 m */
  focusNoise: z.strictObject({ dbaSpl: decibels, control: controlRef }).optional(),
});
export type CameraFigures = z.infer<typeof cameraFiguresSchema>;

/** What a switcher or a program can put together at once. */
export const mixesSchema = z.strictObject({
  /** Layers laid over the picture, graphics or small pictures */
  keyers: z.number().int().min(0).max(64),
  /** How many of the keyers can make a picture smaller */
  resizingKeyers: z.number().int().min(0).max(64),
  /** Small pictures beside the keyers */
  boxes: z.number().int().min(0).max(64),
});
export type Mixes = z.infer<typeof mixesSchema>;

/** A drive or card that a device writes its recordings on. */
export const storageSchema = z.strictObject({
  medium: z.enum(['card', 'solid state', 'hard disk']),
  /** GB, 10⁹ bytes */
  capacityGb: positive.nullable(),
  /** Sustained, MB/s */
  writeMBps: positive.nullable(),
  /** Largest file it can hold, GB */
  maxFileGb: positive.optional(),
  /** Control with the bitrate of one picture, Mb/s; left out, the brief's deliverables say it */
  bitrateControl: controlRef.optional(),
});
export type Storage = z.infer<typeof storageSchema>;

/** What a computer can do at once. Indicative; a measured budget wins. */
export const workSchema = z.strictObject({
  /** Budget in pictures of 1080p30 handled at once */
  budget: positive.nullable(),
  /** Encodes its graphics hardware makes at once */
  hardwareEncodes: z.number().int().min(0).max(64),
});
export type Work = z.infer<typeof workSchema>;
