import { armShort, armWeak, clampMisfit } from './arm';
import { deskHeight, overhang, overlap, shakes } from './desk';
import { overPeople, unfixed } from './overhead';
import { overloaded } from './overloaded';
import { rackDeep, rackDouble, rackHot, topHeavy } from './rack';
import { tips } from './tips';
import { supportUnplaced } from './unplaced';
import type { Rule } from '../rule';

/** Rules of what carries devices, in the order in which they are told. */
export const STANDS_RULES: readonly Rule[] = [
  tips,
  overloaded,
  armWeak,
  armShort,
  clampMisfit,
  unfixed,
  overPeople,
  overlap,
  overhang,
  deskHeight,
  shakes,
  rackDouble,
  topHeavy,
  rackDeep,
  rackHot,
  supportUnplaced,
];
