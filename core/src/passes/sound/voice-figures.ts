import { sourceOf, type Stage } from '../../graph';
import type { Measured } from '../measured';
import { snrDb, voiceTargetDbfs } from './';
import { adjustableGains, isConversion } from './gains';

/** The figures of a voice at its converter, the place a gain is judged. */
export interface VoiceFigures {
  readonly sourceId: string;
  readonly levelDbfs: number | null;
  /** Gain the nearest adjustable stage would need for the house level; null where it cannot be told */
  readonly gainNeededDb: number | null;
  readonly gainSetDb: number | null;
  readonly gainMaxDb: number | null;
  readonly snrDb: number | null;
}

/** Figures at a conversion. @returns null for any other stage */
export const voiceFigures = (measured: Measured, stage: Stage): VoiceFigures | null => {
  const figures = measured.sound[stage.index];
  if (!figures || !isConversion(stage)) return null;
  const [nearest] = adjustableGains(measured, stage);
  return {
    sourceId: sourceOf(stage).at.device.id,
    levelDbfs: figures.levelDb,
    gainNeededDb:
      figures.levelDb === null || !nearest
        ? null
        : nearest.gain.gainDb + voiceTargetDbfs(measured.rig.houseRules, figures) - figures.levelDb,
    gainSetDb: nearest?.gain.gainDb ?? null,
    gainMaxDb: nearest?.gain.maxDb ?? null,
    snrDb: snrDb(figures),
  };
};
