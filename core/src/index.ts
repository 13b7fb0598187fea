/** The public door of the engine; nothing outside core imports anything else of it. */
export * from './analyse';
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
export { STARTING_POINTS, type StartingPoint } from './rig/starting-points';
export * from './report';
export { figure } from './explain/sum';
export { formatName, parseFormat } from './units';
