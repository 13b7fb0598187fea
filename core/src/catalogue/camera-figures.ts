import type { CameraFigures } from '../rig/devices/device-figures';
import type { Control } from '../rig/devices/model';
import { amount, toggle } from './parts';

/**
 * Sensors by their usual names: active width and height at 16:9, mm. @source handbook 3-picture for
 * the first two; typical
 */
export const SENSORS = {
  'full frame': [35.6, 20.03],
  'reduced frame': [23.5, 13.22],
  'one inch': [12.8, 7.2],
  small: [5.6, 3.15],
  phone: [9.6, 5.4],
} as const;

interface CameraDraft {
  readonly sensor: keyof typeof SENSORS;
  /** Shortest, longest and initial focal length, mm */
  readonly focal: readonly [number, number, number];
  /** Widest aperture */
  readonly fNumber: number;
  readonly crops?: Readonly<Record<string, number>>;
  readonly recordLimitMin?: number;
  readonly heatMin?: Readonly<Record<string, number>>;
  readonly sleepMin?: number;
  readonly batteryMin?: number;
  readonly focusNoiseDba?: number;
  /** Takes lenses of this mount; left out, its lens is built in */
  readonly mount?: string;
  /** Sets its exposure by itself unless told not to */
  readonly setsItself?: true;
  /** The focus is followed by hand */
  readonly byHand?: true;
  /** Crop of its stabiliser */
  readonly stabiliserCrop?: number;
}

/** The figures of a camera and the controls they need. */
export const cameraFigures = ({
  sensor,
  focal,
  fNumber,
  crops = {},
  recordLimitMin,
  heatMin,
  sleepMin,
  batteryMin,
  focusNoiseDba,
  mount,
  setsItself,
  byHand,
  stabiliserCrop,
}: CameraDraft): { camera: CameraFigures; controls: Record<string, Control> } => {
  const [sensorWidthMm, sensorHeightMm] = SENSORS[sensor];
  const [shortest, longest, initial] = focal;
  return {
    camera: {
      sensorWidthMm,
      sensorHeightMm,
      crops: { ...crops },
      focalControl: 'focal-length',
      fNumberControl: 'f-number',
      shutterControl: 'shutter',
      isoControl: 'iso',
      ...(mount === undefined ? {} : { mount }),
      autoExposureControl: 'auto-exposure',
      autofocusControl: 'autofocus',
      greyControl: 'grey-filter',
      ...(stabiliserCrop === undefined
        ? {}
        : { stabiliser: { control: 'stabiliser', crop: stabiliserCrop } }),
      ...(recordLimitMin === undefined ? {} : { recordLimitMin }),
      ...(heatMin === undefined ? {} : { heatMin: { ...heatMin } }),
      ...(sleepMin === undefined ? {} : { sleep: { afterMin: sleepMin, control: 'sleep-timer' } }),
      ...(batteryMin === undefined
        ? {}
        : { battery: { lastsMin: batteryMin, mainsControl: 'mains' } }),
      ...(focusNoiseDba === undefined
        ? {}
        : { focusNoise: { dbaSpl: focusNoiseDba, control: 'autofocus' } }),
    },
    controls: {
      'focal-length': amount('Focal length', 'mm', shortest, longest, initial, 0.1),
      'f-number': amount('Aperture, f/', '', fNumber, 22, Math.max(fNumber, 2.8), 0.1),
      shutter: amount('Shutter, 1/', 's', 24, 2000, 50, 1),
      iso: amount('Sensitivity, ISO', '', 50, 25_600, 800, 50),
      ...(sleepMin === undefined ? {} : { 'sleep-timer': toggle('Sleep timer') }),
      ...(batteryMin === undefined ? {} : { mains: toggle('On a mains adapter', true) }),
      'auto-exposure': toggle('Sets its exposure by itself', setsItself ?? false),
      'grey-filter': amount('Grey filter', 'stops', 0, 10, 0, 1),
      autofocus: toggle('Autofocus', !byHand),
      ...(stabiliserCrop === undefined ? {} : { stabiliser: toggle('Stabiliser') }),
    },
  };
};
