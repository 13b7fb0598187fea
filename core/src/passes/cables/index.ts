export * from './buy';
export * from './cut';
export { type MainsRun, mainsRuns } from './mains-runs';
export * from './plan';
export { LEG_MOST_M, type Leg } from './route';
export * from './shared';
export { type TripGround, tripGrounds } from './trips';
export { cableWaysOf, type Segment, segments } from './ways';
