import type { Rule } from '../rule';
import {
  rundownOver,
  rundownUnder,
  segmentCue,
  segmentHeard,
  segmentScene,
  segmentShort,
  segmentUnheard,
} from './rundown';
import { measuredFar, measuredSpread, oneForTwo } from './measured';
import { setUnmarked, setUpLong, tapeTwice } from './sets';
import { houseLineTwice, segmentTwice, showTwice } from './twice';
import { noBeginning, pastMidnight, setUpNight } from './when';

/** Rules of the day, in the order in which they are told. */
export const DAY_RULES: readonly Rule[] = [
  segmentScene,
  segmentUnheard,
  segmentHeard,
  rundownOver,
  rundownUnder,
  segmentShort,
  segmentCue,
  tapeTwice,
  setUnmarked,
  setUpLong,
  noBeginning,
  setUpNight,
  pastMidnight,
  showTwice,
  segmentTwice,
  houseLineTwice,
  measuredFar,
  measuredSpread,
  oneForTwo,
];
