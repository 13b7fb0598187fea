import type { Rule } from '../rule';
import { camerasApart, oneForTwo, soundEarly, soundLate } from './apart';
import { disagrees, knownIdle, limitsWide, spreadWide, staleOffset, unknownStep } from './known';
import { loudspeakersApart, screenApart } from './in-room';
import { clocksDrift, measuredRough, silentRecording } from './recordings';
import { bothHeld, delayIdle, offStep, outOfRange } from './settings';
import { comesTwice } from './twice';

/** Rules of when sound and picture arrive, in the order in which they are told. */
export const TIME_RULES: readonly Rule[] = [
  soundEarly,
  soundLate,
  camerasApart,
  oneForTwo,
  comesTwice,
  loudspeakersApart,
  screenApart,
  outOfRange,
  staleOffset,
  disagrees,
  measuredRough,
  unknownStep,
  spreadWide,
  bothHeld,
  offStep,
  delayIdle,
  knownIdle,
  clocksDrift,
  silentRecording,
  limitsWide,
];
