import { analyse, type Analysis } from '../../analyse';
import { apply, type SimpleCommand } from '../../rig';
import type { LightWish } from './wish';

/** The rig of an analysis once an answer's commands are applied, analysed anew. */
export const after = (analysis: Analysis, commands: readonly SimpleCommand[]): Analysis =>
  analyse(
    commands.length === 0
      ? analysis.rig
      : apply(analysis.rig, { type: 'batch', label: 'Set', commands: [...commands] }),
  );

/** 300 lux on every face, for the least power. */
export const WISH: LightWish = { aim: 'power', faceLux: 300 };
