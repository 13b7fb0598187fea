import type { Framing } from '../passes/framing';
import type { Prediction } from '../predict/predict';

/** Parts of the report that several others hold. */

export type PredictionReport = Pick<Prediction, 'verdict' | 'cures' | 'effects'> & {
  readonly brings: readonly string[];
};

export type ShotReport = Pick<
  Framing,
  | 'shotId'
  | 'crop'
  | 'sensorWidthMm'
  | 'sensorHeightMm'
  | 'focalMm'
  | 'fullFrameFocalMm'
  | 'widthM'
  | 'heightM'
  | 'wanted'
  | 'distanceForWantedM'
  | 'focalForWantedMm'
  | 'sharp'
  | 'blurPercent'
  | 'eyeLineDeg'
  | 'punchInMost'
  | 'lightNeededLux'
  | 'stopsOver'
  | 'panRangeDeg'
  | 'asks'
> & { readonly device: string; readonly distanceM: number | null };

export interface StageReport {
  readonly at: string;
  readonly port: string;
  readonly sound?: {
    readonly unit: string;
    readonly levelDb: number | null;
    readonly peakDb: number | null;
    readonly headroomDb: number | null;
    readonly noiseDb: number | null;
    readonly snrDb: number | null;
    readonly snrAWeightedDb: number | null;
    readonly noiseWeighting: string | null;
    readonly unknown: string | null;
  };
  readonly picture?: {
    readonly format: string | null;
    readonly payloadGbps: number | null;
    readonly streamMBps: number | null;
    readonly encoding: string | null;
    readonly stop: string | null;
  };
}
