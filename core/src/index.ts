/** The public door of the engine; nothing outside core imports anything else of it. */
export * from './analyse';
export {
  type AnsweredPerson,
  type Answers,
  type Built,
  STARTING_POINTS,
  type StartingPoint,
  answersSchema,
  build,
  onSite,
  remote,
} from './brief/build';
export { type Difference, difference, differenceOf } from './brief/compare';
export { coverage } from './brief/coverage';
export { type CoverageLine, NEEDS, type Need } from './brief/coverage/line';
export { type Money, costOf, moneyOf, priceOf } from './brief/money';
export * from './catalogue';
export { RigDraft } from './catalogue/draft';
export type { UsbLinkBranch } from './computer';
export { type DriveLoad, type Uplink, driveLoads, uplinkOf } from './computer/lines';
export { type Workload, workloads } from './computer/work';
export * from './explain';
export { figure } from './explain/sum';
export { FRAME_TOLERANCE, type Framing, framings } from './framing';
export { type Remedy, remediesFor } from './gain/buy';
export { type Knob, type Rung, knobsOf, ladderOf, voices } from './gain/ladder';
export { type GainAnswer, type GainProposal, setForAll, setForVoice } from './gain/set';
export {
  type DeviceNode,
  type Graph,
  type LinkEdge,
  type PortNode,
  type Signal,
  type Stage,
  type Thread,
  endName,
  sourceOf,
  stagesOf,
} from './graph';
export { type Ears, type HeardSound, ears, wayToEars } from './hearing';
export { type Measured, measure } from './measure';
export type { PictureFigures } from './picture';
export { SIZES, type Size } from './picture/size';
export {
  type Compressor,
  type Gate,
  type Processor,
  type Shaping,
  curvePoints,
  pressedTo,
  processors,
  ratioTogether,
  shapings,
} from './processing';
export { type ProgrammeLoudness, TRUE_PEAK_DBTP, loudnesses } from './processing/loudness';
export { type SceneMade, scenesMade } from './programme/scenes';
export * from './report';
export * from './report/form';
export * from './report/parts';
export * from './rig';
export {
  FARTHER_M,
  type MicrophoneInRoom,
  type PickedUp,
  THREE_TO_ONE_DB,
  bleedDb,
  combRippleDb,
  ifItWere,
  isMuted,
  loopDb,
  microphonesInRoom,
  patternDb,
} from './room';
export { type MicrophoneChoice, microphoneChoices } from './room/choice';
export {
  AREAS,
  AREA_IDS,
  type About,
  type Area,
  type Finding,
  type Fix,
  type Level,
  RULES,
  type Rule,
  findingKey,
} from './rules';
export { adjustableGains, isConversion } from './rules/places';
export { reachOfLink } from './rules/reach';
export { type SizeStudy, studySize } from './size-study';
export { type SoundFigures, headroomDb, peakDb, snrAWeightedDb, snrDb } from './sound';
export { type ChannelLoad, channelLoads } from './sound/channels';
export { deliveredBitsPerPixel, formatName, isFormatText, parseFormat } from './units';
