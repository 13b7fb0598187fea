import { boomy } from './boomy';
import { coveredTwice } from './covered-twice';
import { timeDiffers, volumeDiffers } from './differs';
import { doorBlocked, wayBlocked } from './free-ways';
import { hides, inFrame } from './in-frame';
import { personInFrame } from './person-in-frame';
import { outside } from './outside';
import { backgroundDiffers, seatsDiffer, shotDiffers } from './plan-differs';
import { outOfReach, screenAside, screenFar, turnedAway } from './seats';
import { ceiling, crowded, headLow } from './standing';
import { ringStale } from './ring-stale';
import { ringsLong } from './rings-long';
import { cameraHeight, subjectUnplaced } from './unplaced';
import type { Rule } from '../rule';

/** Rules of the plan and of the room, in the order in which they are told. */
export const PLACE_RULES: readonly Rule[] = [
  ringsLong,
  boomy,
  ringStale,
  timeDiffers,
  volumeDiffers,
  coveredTwice,
  outside,
  inFrame,
  personInFrame,
  hides,
  turnedAway,
  shotDiffers,
  backgroundDiffers,
  seatsDiffer,
  subjectUnplaced,
  cameraHeight,
  doorBlocked,
  wayBlocked,
  ceiling,
  headLow,
  crowded,
  outOfReach,
  screenFar,
  screenAside,
];
