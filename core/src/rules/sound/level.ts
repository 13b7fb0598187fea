import type { Fix } from '../../edits/fix';
import type { Stage } from '../../graph';
import { sourceOf } from '../../graph';
import { measure, type Measured } from '../../passes/measure';
import { passBySource } from '../../passes/pass';
import { soundOfWalk } from '../../passes/sound';
import {
  type AdjustableGain,
  adjustableGains,
  conversions,
  steppedGain,
} from '../../passes/sound/gains';
import { apply, levelTarget, type SimpleCommand } from '../../rig';

/** How far the average may stray from the house level before it is worth a word. @unit dB */
export const LEVEL_TOLERANCE_DB = 3;

/** A voice at its converter, against the house level. */
export interface ConverterLevel {
  readonly stage: Stage;
  readonly levelDbfs: number;
  /** Positive: too quiet. @unit dB */
  readonly missingDb: number;
  /** What the gains on the way could still add. @unit dB */
  readonly spareDb: number;
  /** Gains on the way, the nearest to the converter first */
  readonly gains: readonly AdjustableGain[];
}

/** Every microphone thread where it becomes digital. */
export const converterLevels = passBySource(
  'converter levels',
  'sound',
  (measured, walk): readonly ConverterLevel[] => {
    const { averageDbfs } = levelTarget(measured.rig.houseRules);
    const figures = soundOfWalk.of(measured, walk);
    return conversions.of(measured, walk).flatMap((stage) => {
      const levelDbfs = figures[stage.index - walk.from]?.levelDb;
      if (levelDbfs === null || levelDbfs === undefined) return [];
      const gains = adjustableGains(measured, stage);
      const spareDb = gains.reduce((sum, { gain }) => sum + gain.maxDb - gain.gainDb, 0);
      return [{ stage, levelDbfs, missingDb: averageDbfs - levelDbfs, spareDb, gains }];
    });
  },
);

/** The converter a finding speaks of, found again by its stage. */
export const converterLevelAt = (
  measured: Measured,
  stageIndex: number | undefined,
): ConverterLevel | undefined =>
  converterLevels(measured).find((level) => level.stage.index === stageIndex);

/** The same converter in another analysis: same source, same device. */
const sameConverter = (measured: Measured, stage: Stage): ConverterLevel | undefined =>
  converterLevels(measured).find(
    (level) =>
      sourceOf(level.stage).at.device.id === sourceOf(stage).at.device.id &&
      level.stage.at.device.id === stage.at.device.id,
  );

/**
 * An edit with the converter's gain set for it, found by trying the edit and reading what gain the thread then needs.
 * @param stage the conversion, in the analysis before the edit
 * @returns the edit as it is where the level cannot be told afterwards
 */
export const withGain = (
  measured: Measured,
  stage: Stage,
  commands: SimpleCommand[],
  label: string,
): Fix => {
  const after = sameConverter(
    measure(apply(measured.rig, { type: 'batch', label, commands }), measured),
    stage,
  );
  const [last] = after?.gains ?? [];
  if (!after || !last) return { label, command: { type: 'batch', label, commands } };
  const value = steppedGain(last.gain.gainDb + after.missingDb, last.gain);
  const set: SimpleCommand[] =
    value === last.gain.gainDb
      ? []
      : [{ type: 'setControl', deviceId: last.stage.at.device.id, control: last.control, value }];
  return { label, command: { type: 'batch', label, commands: [...commands, ...set] } };
};
