import { DAY_RULES } from './day';
import { FILES_RULES } from './files';
import { LIGHT_RULES } from './light';
import { CABLES_RULES } from './cables';
import { PLACE_RULES } from './place';
import { POWER_RULES } from './power';
import { SOUND_RULES } from './sound';
import { TIME_RULES } from './time';
import { STANDS_RULES } from './stands';
import { cannotHear } from './brief/cannot-hear';
import { cannotSee } from './brief/cannot-see';
import { captureSize } from './brief/capture-size';
import { computerSchool } from './brief/computers';
import { microphoneSchool } from './brief/microphones';
import { notShown } from './brief/not-shown';
import { overBudget } from './brief/over-budget';
import { partlyDelivered } from './brief/partly-delivered';
import { processingSchool } from './brief/processing';
import { prompterSchool } from './brief/prompter';
import { recordedOnce } from './brief/recorded-once';
import { soundSchool } from './brief/sound-way';
import { spareInputs } from './brief/spare-inputs';
import { switchingSchool } from './brief/switching';
import { cutSchool } from './brief/tracks';
import { undelivered } from './brief/undelivered';
import { unheard } from './brief/unheard';
import { unseen } from './brief/unseen';
import { branchFull } from './computer/branch-full';
import { captureOnHub } from './computer/capture-on-hub';
import { controllerFull } from './computer/controller-full';
import { driveFull } from './computer/drive-full';
import { driveSlow } from './computer/drive-slow';
import { encodes } from './computer/encodes';
import { fileSplit } from './computer/file-split';
import { portsShort } from './computer/ports-short';
import { usbReach } from './computer/reach';
import { uplink } from './computer/uplink';
import { uplinkUnknown } from './computer/uplink-unknown';
import { workOver } from './computer/work-over';
import { battery } from './picture/battery';
import { bitsThin } from './picture/bits-thin';
import { compressed } from './picture/compressed';
import { copyProtection } from './picture/copy-protection';
import { eyeLine } from './picture/eye-line';
import { firstDecides } from './picture/first-decides';
import { flicker } from './picture/flicker';
import { focusNoise } from './picture/focus-noise';
import { formatRefused } from './picture/format-refused';
import { heat } from './picture/heat';
import { inputsShort } from './picture/inputs-short';
import { interlaced } from './picture/interlaced';
import { labelTwice } from './picture/label-twice';
import { lensNear } from './picture/lens-near';
import { lensShort } from './picture/lens-short';
import { lensTwice } from './picture/lens-twice';
import { lensUnknown } from './picture/lens-unknown';
import { lessColour } from './picture/less-colour';
import { linkOverload } from './picture/link-overload';
import { manyBoxes } from './picture/many-boxes';
import { moreThanDelivered } from './picture/more-than-delivered';
import { noRoom } from './picture/no-room';
import { noSupply } from './picture/no-supply';
import { overlays } from './picture/overlays';
import { punchIn } from './picture/punch-in';
import { rangeMisread } from './picture/range';
import { rateMismatch } from './picture/rate-mismatch';
import { rateNearMiss } from './picture/rate-near-miss';
import { pictureReach } from './picture/reach';
import { recordingLimit } from './picture/recording-limit';
import { sceneDark } from './picture/scene-dark';
import { sceneImpossible } from './picture/scene-impossible';
import { sceneOffPanel } from './picture/scene-off-panel';
import { sceneOdd } from './picture/scene-odd';
import { noMultiview } from './picture/no-multiview';
import { sceneSilent } from './picture/scene-silent';
import { sharpThin } from './picture/sharp-thin';
import { shotMissed } from './picture/shot-missed';
import { shutterLong } from './picture/shutter-long';
import { sleeps } from './picture/sleeps';
import { slider } from './picture/slider';
import { smallSocket } from './picture/small-socket';
import { steppedDown } from './picture/stepped-down';
import { tooBright } from './picture/too-bright';
import { tooDark } from './picture/too-dark';
import { tooManyForHand } from './picture/too-many-for-hand';
import { unguarded } from './picture/unguarded';
import { unmeasured } from './picture/unmeasured';
import { uprightEnlarged } from './picture/upright-enlarged';
import { upscaled } from './picture/upscaled';
import type { Finding, Matter, Rule } from './rule';
import { destinationEmpty } from './signal/destination-empty';
import { sourceLost } from './signal/source-lost';
import { unconnected } from './signal/unconnected';
import { waysCut } from './signal/ways-cut';

/** Every rule. A new one is a file of its own and a line here; a test checks that no file is forgotten. */
export const RULES: readonly Rule[] = [
  destinationEmpty,
  sourceLost,
  unconnected,
  waysCut,
  ...SOUND_RULES,
  linkOverload,
  formatRefused,
  pictureReach,
  rateNearMiss,
  interlaced,
  overlays,
  copyProtection,
  compressed,
  smallSocket,
  inputsShort,
  sceneImpossible,
  sceneDark,
  sceneSilent,
  noMultiview,
  sceneOdd,
  noSupply,
  steppedDown,
  rateMismatch,
  upscaled,
  rangeMisread,
  firstDecides,
  lessColour,
  manyBoxes,
  battery,
  sleeps,
  heat,
  recordingLimit,
  focusNoise,
  shotMissed,
  noRoom,
  punchIn,
  eyeLine,
  sharpThin,
  tooDark,
  tooBright,
  unmeasured,
  lensUnknown,
  lensShort,
  lensNear,
  lensTwice,
  shutterLong,
  flicker,
  slider,
  unguarded,
  sceneOffPanel,
  labelTwice,
  tooManyForHand,
  bitsThin,
  moreThanDelivered,
  uprightEnlarged,
  branchFull,
  controllerFull,
  captureOnHub,
  usbReach,
  portsShort,
  workOver,
  encodes,
  driveSlow,
  driveFull,
  fileSplit,
  uplink,
  uplinkUnknown,
  ...PLACE_RULES,
  ...STANDS_RULES,
  ...CABLES_RULES,
  ...POWER_RULES,
  ...TIME_RULES,
  ...LIGHT_RULES,
  ...DAY_RULES,
  ...FILES_RULES,
  unseen,
  unheard,
  cannotHear,
  notShown,
  undelivered,
  partlyDelivered,
  recordedOnce,
  cannotSee,
  spareInputs,
  captureSize,
  microphoneSchool,
  soundSchool,
  computerSchool,
  switchingSchool,
  processingSchool,
  cutSchool,
  prompterSchool,
  overBudget,
];

export const ruleByCode: ReadonlyMap<string, Rule> = new Map(
  RULES.map((rule) => [rule.code, rule]),
);
/** Whether a finding has to do with a matter. */
export const hasToDoWith = ({ code }: Pick<Finding, 'code'>, matter: Matter): boolean =>
  ruleByCode.get(code)?.matters?.includes(matter) ?? false;

export * from '../edits/fix';
export type { About } from './about';
export { type Area, AREA_IDS, AREAS } from './areas';
export * from './rule';
