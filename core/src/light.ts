/** What of light the public door shows. */
export {
  backdropsLit,
  clock,
  colourMix,
  type FaceLight,
  faces,
  fromRoom,
  type Glint,
  isLit,
  LENS_HALF_MM,
  lampsNowhere,
  lampSources,
  type LightSource,
  type LitBackdrop,
  lightSources,
  type LitRoom,
  litRoom,
  type OnFace,
  POOL_M,
  poolLux,
  roomLuxOf,
  seenFaces,
  sightsLit,
  throughDay,
  type ThroughDay,
  topOfTilted,
  withShares,
} from './passes/light';
export { type Exposed, exposures, GREY, SENSOR_STOPS, type Tone } from './passes/exposure';
export { type CureForAll, cureForAll } from './edits/exposure';
export { dimTo } from './edits/light';
export { type LightAnswer, setLight } from './solve/light/answer';
export type { LightOption } from './solve/light/advice';
export { type LightAdvice, whatToBuy } from './solve/light/buy';
export { curesOf, type LightCure } from './solve/light/cures';
export { type SetsAnswer, setLightInSets } from './solve/light/sets';
export { LIGHT_AIMS, type LightAim, type LightWish } from './solve/light/wish';
