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
  ROOM_ANSWERS,
  type Unmet,
} from './build';
export { type Beginning, BEGINNINGS } from './build/rooms';
export { settledIn } from './build/settled-in';
export { NO_STOCK, type Stock, takingFirst } from './build/taking-first';
export {
  currencySchema,
  lengthsSchema,
  mainsNameSchema,
  paperSchema,
  type Studio,
  studioSchema,
  UNSAID,
} from './build/studio';
export { builtFollows, type BuiltLine, builtLines, type BuiltState } from './built';
export * from './catalogue';
export {
  CHARGER_CLASSES,
  FEED_CLASSES,
  type FeedClass,
  WAY_PRICE_PER_M,
  wayToBuy,
} from './catalogue/house-gear';
export { RigDraft } from './catalogue/draft';
export * from './day';
export * from './failure';
export * from './explain';
export {
  isIdle,
  isSocketHeld,
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
export type { UsbLinkBranch } from './passes/computer';
export { type DriveLoad, type Uplink, driveLoads, uplinkOf } from './passes/computer/lines';
export { type Workload, workloads } from './passes/computer/work';
export { coverage, type CoverageLine, NEEDS, type Need } from './passes/coverage';
export {
  FRAME_TOLERANCE,
  type Framed,
  framedBy,
  type Framing,
  framings,
  withCamera,
} from './passes/framing';
export { type Ears, type HeardSound, ears, wayToEars } from './passes/hearing';
export { measure, type Measured } from './passes/measure';
export { type Money, costOf, moneyOf, priceOf } from './passes/money';
export type { PictureFigures } from './passes/picture';
export {
  type Calibration,
  calibrationNames,
  calibrations,
  predictionError,
} from './recorded/calibrations';
export {
  type ComparedFile,
  type ComparedFiles,
  compareFiles,
  type FilmFacts,
  filmBeside,
  filmText,
  type FoundFile,
  isDoubled,
} from './recorded/compared';
export {
  type KeptReading,
  type ReadingIs,
  keepRoom,
  keepVoice,
  readFrom,
  readings,
} from './recorded/readings';
export {
  type ComparedVoice,
  compareVoice,
  type MeasuredVoice,
  type PredictedVoice,
  predictedVoices,
} from './recorded/voices';
export {
  type DriveOfShow,
  type PlannedFile,
  showOnDrives,
  type ShowOnDrives,
} from './recorded/written';
export {
  type InRack,
  type Loaded,
  type Opened,
  type Solid,
  type Stood,
  ahead,
  bearing,
  distanceInRoom,
  eyesAtM,
  groundOf,
  groundOfWay,
  inRack,
  loaded,
  middleM,
  openings,
  reachingSolids,
  shotOnPlan,
  sizeOf,
  solids,
  spotOn,
  stepped,
  stood,
  TIP_FACTOR,
} from './passes/place';
export { type Shown, type View, pointInPicture, views } from './passes/view';
export * from './light';
export { eyeLines } from './passes/view/eye-lines';
export {
  cablePlans,
  type CablePlan,
  cableStock,
  type CableStock,
  cableWaysOf,
  CHANGE_MIN,
  type Cut,
  cutEnds,
  cutList,
  DRUM_M,
  explainPlan,
  mainsRuns,
  type Planned,
  plannedCables,
  type ToCut,
  type WayFill,
  wayFills,
} from './passes/cables';
export {
  allowedW,
  batteriesFor,
  chargersOf,
  circuitOf,
  batteryHours,
  batteryOf,
  isOnBattery,
  type CircuitLoading,
  circuitLoadings,
  type Drawn,
  drawers,
  type FeedLoading,
  feedLoadings,
  networkFeeds,
  upsMinutes,
  usbFeeds,
} from './passes/power';
export {
  type Arriving,
  type DelayKnob,
  heldNow,
  knobKey,
  knobs,
  type Meeting,
  meetings,
  type Pair,
  type DelayStep,
} from './passes/time';
export { bestPlace, giveWay, type PlaceTiming, timingByPlace } from './solve/timing/by-place';
export { type OtherWay, type OtherWayKind, otherWays } from './solve/timing/other-ways';
export { type DelaySet, setsOf, solveTiming, type TimingSolution } from './solve/timing';
export { SIZES, type Size } from './passes/picture/size';
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
} from './passes/processing';
export { type ProgrammeLoudness, TRUE_PEAK_DBTP, loudnesses } from './passes/processing/loudness';
export { type SceneMade, scenesMade } from './passes/programme/scenes';
export {
  FARTHER_M,
  type MicrophoneInRoom,
  type PickedUp,
  type BuiltRoom,
  THREE_TO_ONE_DB,
  bandsOf,
  bleedDb,
  totalBleedDb,
  builtRoom,
  combRippleDb,
  ifItWere,
  loopDb,
  microphonesInRoom,
  patternDb,
  roomSound,
  singleModesBelowHz,
  targetS,
  treatmentNeeded,
} from './passes/room';
export { isMuted } from './passes/room/loudspeakers';
export { type MicrophoneChoice, microphoneChoices } from './passes/room/choice';
export {
  type SoundFigures,
  headroomDb,
  peakCeilingDbfs,
  peakDb,
  snrAWeightedDb,
  snrDb,
  voiceTargetDbfs,
} from './passes/sound';
export { type ChannelLoad, channelLoads } from './passes/sound/channels';
export { adjustableGains, isConversion } from './passes/sound/gains';
export { type Knob, type Rung, knobsOf, ladderOf, voices } from './passes/sound/ladder';
export * from './passes/sound/voice-figures';
export { type Spare, spareOf } from './passes/spare';
export { deviceNameById, nameOfThing } from './passes/names';
export { figure } from './passes/sum';
export { type Difference, difference, differenceOf } from './predict/compare';
export * from './predict/predict';
export * from './report';
export * from './report/form';
export * from './report/form-parts';
export * from './report/parts';
export * from './rig';
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
  hasToDoWith,
} from './rules';
export { asideCommands, type PutAside } from './rules/aside';
export type { Cause } from './rules/causes';
export { reachOfLink } from './rules/reach';
export { type Remedy, remediesFor } from './solve/gain/buy';
export {
  type GainAnswer,
  type GainProposal,
  type KnobOnWay,
  type Progress,
  setForAll,
  setForVoice,
} from './edits/gain/set';
export {
  connectBy,
  freshName,
  type Join,
  type Joining,
  joinings,
  type Offered,
  offeredBeside,
  offeredBetween,
  putInto,
  type Spliced,
  takeOut,
} from './edits/pointing';
export { allLengths, soldM } from './edits/lengths';
export { laid } from './edits/lay';
export { isFree } from './edits/sockets';
export { type Arrangement, arrangeDesk } from './solve/desk/arrange';
export { type DeskThings, deskThings } from './solve/desk/drawn';
export { type Placing, placeAll } from './solve/placing/place';
export { plugAll, type Plugging } from './solve/plugging';
export { type AllFree, allFree, type FreeStep } from './solve/all-free';
export { type Doing, doingOf, DOINGS } from './solve/doing';
export { type NextStep, seekingNextStep } from './solve/next-step';
export { type SizeStudy, studySize } from './solve/size-study';
export { type Chosen, type TakenStep, together, type Together } from './solve/together';
export { deliveredBitsPerPixel, formatName, isFormatText, parseFormat, rateName } from './units';
export * from './library';
export * from './things';
export * from './run';
export * from './files';
export * from './agenda';
