/** The public door of the engine; nothing outside core imports anything else of it. */
export * from './analyse';
export { coverage, NEEDS, type CoverageLine, type Need } from './brief/coverage';
export { difference, differenceOf, type Difference } from './brief/compare';
export { costOf, moneyOf, priceOf, type Money } from './brief/money';
export * from './catalogue';
export * from './explain';
export { stagesOf, type DeviceNode, type Graph, type LinkEdge, type PortNode, type Signal, type Stage, type Thread } from './graph';
export { measure, type Measured } from './measure';
export type { PictureFigures } from './picture';
export * from './rig';
export { RigDraft } from './rig/draft';
export { findingKey, RULES, type About, type Area, type Finding, type Fix, type Level, type Rule } from './rules';
export { adjustableGains, isConversion } from './rules/places';
export { headroomDb, peakDb, snrAWeightedDb, snrDb, type SoundFigures } from './sound';
export { answersSchema, build, onSite, remote, STARTING_POINTS, type AnsweredPerson, type Answers, type Built, type StartingPoint } from './brief/build';
export * from './report';
export { figure } from './explain/sum';
export { formatName, parseFormat } from './units';
