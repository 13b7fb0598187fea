import type { Rule } from '../rule';
import {
  bentTight,
  fixedBorrowed,
  fixedOnMoving,
  looseOverhead,
  misledCable,
  noWay,
  unplacedEnds,
} from './laid';
import { joined, tooLong, tooShort } from './length';
import { trip } from './trips';
import { beside, wayAlone, wayFull, wayLow, wayOutside } from './ways';

/** Rules of cables and the ways they lie in, in the order in which they are told. */
export const CABLES_RULES: readonly Rule[] = [
  tooShort,
  trip,
  wayLow,
  wayFull,
  wayOutside,
  looseOverhead,
  fixedOnMoving,
  bentTight,
  joined,
  beside,
  tooLong,
  fixedBorrowed,
  misledCable,
  noWay,
  unplacedEnds,
  wayAlone,
];
