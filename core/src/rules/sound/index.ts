import type { Rule } from '../rule';
import { batteryShort } from './battery';
import { bleed } from './bleed';
import { channelsShort } from './channels-short';
import { clips } from './clips';
import { compressorIdle } from './compressor-idle';
import { digitalRates } from './digital-rates';
import { distanceDiffers } from './distance-differs';
import { earsLate } from './ears-late';
import { earsLoud } from './ears-loud';
import { gainHot } from './gain-hot';
import { gainLow } from './gain-low';
import { gainShort } from './gain-short';
import { gateCuts } from './gate-cuts';
import { gateOpen } from './gate-open';
import { headroomThin } from './headroom-thin';
import { howl } from './howl';
import { lastTenth } from './last-tenth';
import { liftClips } from './lift-clips';
import { lineIntoMicrophone } from './line-into-microphone';
import { lineMismatch } from './line-mismatch';
import { loading } from './loading';
import { loudness } from './loudness';
import { loudspeakerOpen } from './loudspeaker-open';
import { microphoneIntoLine } from './microphone-into-line';
import { mixMinus } from './mix-minus';
import { noTalkback } from './no-talkback';
import { noise } from './noise';
import { offAxis } from './off-axis';
import { openMicrophones } from './open-microphones';
import { outputsShort } from './outputs-short';
import { phantomBlocked } from './phantom-blocked';
import { phantomHarms } from './phantom-harms';
import { phantomMissing } from './phantom-missing';
import { phantomOverload } from './phantom-overload';
import { placeUnknown } from './place-unknown';
import { placedNoise } from './placed-noise';
import { pressedTwice } from './pressed-twice';
import { soundReach } from './reach';
import { reverberant } from './reverberant';
import { roomNoise } from './room-noise';
import { talkbackHeard } from './talkback-heard';
import { leftBehind } from './left-behind';
import { tooClose } from './too-close';
import { usbUnjudged } from './usb-unjudged';
import { truePeak } from './true-peak';
import { mixNoise } from './mix-noise';
import { twiceInMix } from './twice-in-mix';
import { pauseNoise } from './pause-noise';
import { peaksHigh } from './peaks-high';
import { einDoubtful } from './ein-doubtful';
import { phantomOutput } from './phantom-output';
import { headphonesOnLine } from './headphones-on-line';
import { unknownFigure } from './unknown-figure';
import { readingStale } from './reading-stale';

/** Rules of sound, in the order in which they are told. */
export const SOUND_RULES: readonly Rule[] = [
  phantomMissing,
  phantomBlocked,
  phantomHarms,
  phantomOutput,
  phantomOverload,
  microphoneIntoLine,
  lineIntoMicrophone,
  lineMismatch,
  loading,
  gainShort,
  gainLow,
  gainHot,
  peaksHigh,
  clips,
  headroomThin,
  noise,
  pauseNoise,
  mixNoise,
  einDoubtful,
  twiceInMix,
  headphonesOnLine,
  soundReach,
  unknownFigure,
  mixMinus,
  loudspeakerOpen,
  earsLoud,
  earsLate,
  lastTenth,
  pressedTwice,
  howl,
  talkbackHeard,
  channelsShort,
  digitalRates,
  roomNoise,
  placedNoise,
  bleed,
  reverberant,
  offAxis,
  tooClose,
  leftBehind,
  usbUnjudged,
  openMicrophones,
  distanceDiffers,
  placeUnknown,
  gateCuts,
  gateOpen,
  compressorIdle,
  liftClips,
  loudness,
  truePeak,
  outputsShort,
  noTalkback,
  batteryShort,
  readingStale,
];
