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
import { setUnmarked, setUpLong, tapeTwice } from './sets';

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
];
