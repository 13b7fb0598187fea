import type { Rule } from '../rule';
import { backgroundBright, clipped, melts, skinWall, windowBehind } from './background';
import { lampBattery } from './battery';
import { areaUneven, boardLit } from './boards';
import { dimmerLow, hot, pwm } from './burning';
import { camerasApart, facesDiffer, shuttersDiffer, typedDiffers } from './cameras';
import { houseColour, mixed, whiteBalance } from './colour';
import { controlApart, controlUnsaid, cueByHand, lookShort } from './control';
import { drift, shutOut, skyUnsaid } from './daylight';
import { faceUnlit, ratio, twoKeys } from './faces';
import { glare, glareNod } from './glasses';
import { hairMissing, hairStrong, hairUnwanted } from './hair';
import { aimedAtNobody, blocked, lampCeiling, lampInFrame, lampNowhere } from './lamps';
import { screenLevel, screenNear, stray, uneven } from './screens';
import { sunOn, sunTooBright } from './sun';
import { fromBelow, hardKey, keySide, noCatch } from './sides';

/** Rules of light, in the order in which they are told. */
export const LIGHT_RULES: readonly Rule[] = [
  hot,
  lampCeiling,
  lampBattery,
  lampInFrame,
  glare,
  glareNod,
  sunOn,
  sunTooBright,
  faceUnlit,
  blocked,
  facesDiffer,
  camerasApart,
  shuttersDiffer,
  ratio,
  keySide,
  twoKeys,
  noCatch,
  fromBelow,
  hardKey,
  hairStrong,
  hairMissing,
  hairUnwanted,
  mixed,
  whiteBalance,
  houseColour,
  melts,
  backgroundBright,
  skinWall,
  clipped,
  windowBehind,
  uneven,
  screenNear,
  screenLevel,
  stray,
  boardLit,
  areaUneven,
  shutOut,
  drift,
  skyUnsaid,
  lampNowhere,
  aimedAtNobody,
  dimmerLow,
  pwm,
  typedDiffers,
  controlApart,
  controlUnsaid,
  lookShort,
  cueByHand,
];
