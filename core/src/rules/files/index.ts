import type { Rule } from '../rule';
import { aloneLong, copiesFew, noneAway, oneKind, storeFull, uploadLong } from './copies';
import { everyShow, everyTake, sameName, template } from './names';
import { holdsNone, keptFull, lineSlower, lineUnknown, neverDone, placeTwice } from './places';

/** Rules of what a show leaves, in the order in which they are told. */
export const FILES_RULES: readonly Rule[] = [
  template,
  sameName,
  copiesFew,
  oneKind,
  noneAway,
  aloneLong,
  storeFull,
  uploadLong,
  everyShow,
  everyTake,
  holdsNone,
  neverDone,
  lineSlower,
  lineUnknown,
  keptFull,
  placeTwice,
];
