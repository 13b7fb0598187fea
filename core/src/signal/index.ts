export { align, type Alignment } from './align';
export {
  type Area,
  type Brightness,
  brightnessOf,
  type Gap,
  type Pace,
  paceOf,
  type Shown,
  shownIn,
  type Stretch,
} from './film';
export {
  beepOf,
  beepsIn,
  FLASH_EVERY_S,
  FLASH_LASTS_S,
  FLASH_MOST_S,
  type FlashFound,
  flashOffset,
  type Frame,
  withoutAir,
} from './flash';
export { type Hum, humOf, type Loudness, LoudnessMeter, noiseInPauses } from './loudness';
export type { SharedEvent } from './event';
export { held, type Progress, type Recording } from './recording';
export { type Octave, type Octaves, octavesOf } from './octaves';
export { resampled } from './resampled';
export { middleRt60, reverberation, type Ringing } from './reverberation';
export { ROUND_TRIP_BEEPS, type RoundTrip, roundTripOf } from './round-trip';
export { type TwoCameras, twoCameras } from './two-cameras';
