import type { Stage } from '../graph';
import type { Measured } from './measure';

/** The stage a finding points at, in the analysis it came from. */
export const stageOf = ({ traced }: Measured, index: number | undefined): Stage | undefined =>
  index === undefined ? undefined : traced.stages[index];
