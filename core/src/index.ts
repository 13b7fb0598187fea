/** The public door of the engine; nothing outside core imports anything else of it. */
export * from './analyse';
export { coverage, NEEDS, type CoverageLine, type Need } from './brief/coverage';
export { difference, differenceOf, type Difference } from './brief/compare';
export { costOf, moneyOf, priceOf, type Money } from './brief/money';
export * from './catalogue';
export * from './explain';
export {
  endName,
  stagesOf,
  type DeviceNode,
  type Graph,
  type LinkEdge,
  type PortNode,
  type Signal,
  type Stage,
  type Thread,
} from './graph';
export { driveLoads, uplinkOf, type DriveLoad, type Uplink } from './computer/lines';
export { workloads, type Workload } from './computer/work';
export type { UsbLinkBranch } from './computer';
export { framings, FRAME_TOLERANCE, type Framing } from './framing';
export { remediesFor, type Remedy } from './gain/buy';
export { knobsOf, ladderOf, voices, type Knob, type Rung } from './gain/ladder';
export { setForAll, setForVoice, type GainAnswer, type GainProposal } from './gain/set';
export { ears, wayToEars, type Ears, type HeardSound } from './hearing';
export {
  curvePoints,
  pressedTo,
  processors,
  ratioTogether,
  shapings,
  type Compressor,
  type Gate,
  type Processor,
  type Shaping,
} from './processing';
export { loudnesses, TRUE_PEAK_DBTP, type ProgrammeLoudness } from './processing/loudness';
export {
  bleedDb,
  combRippleDb,
  FARTHER_M,
  ifItWere,
  isMuted,
  loopDb,
  microphonesInRoom,
  patternDb,
  THREE_TO_ONE_DB,
  type MicrophoneInRoom,
  type PickedUp,
} from './room';
export { microphoneChoices, type MicrophoneChoice } from './room/choice';
export { channelLoads, type ChannelLoad } from './sound/channels';
export { measure, type Measured } from './measure';
export { SIZES, type Size } from './picture/size';
export { studySize, type SizeStudy } from './size-study';
export { scenesMade, type SceneMade } from './programme/scenes';
export type { PictureFigures } from './picture';
export * from './rig';
export { RigDraft } from './rig/draft';
export {
  findingKey,
  RULES,
  type About,
  type Area,
  type Finding,
  type Fix,
  type Level,
  type Rule,
} from './rules';
export { adjustableGains, isConversion, sourceOf } from './rules/places';
export { reachOfLink } from './rules/reach';
export { headroomDb, peakDb, snrAWeightedDb, snrDb, type SoundFigures } from './sound';
export {
  answersSchema,
  build,
  onSite,
  remote,
  STARTING_POINTS,
  type AnsweredPerson,
  type Answers,
  type Built,
  type StartingPoint,
} from './brief/build';
export * from './report';
export { figure } from './explain/sum';
export { deliveredBitsPerPixel, formatName, isFormatText, parseFormat } from './units';
