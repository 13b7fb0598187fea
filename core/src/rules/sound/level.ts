import type { Fix } from '../../edits/fix';
import { setWithSharers } from '../../edits/gain/set';
import type { Stage } from '../../graph';
import { sourceOf, stagesOf } from '../../graph';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import { passBySource } from '../../passes/pass';
import { headroomDb, soundOfWalk, type SoundFigures, voiceTargetDbfs } from '../../passes/sound';
import {
  type AdjustableGain,
  adjustableGains,
  conversions,
  wasDigital,
} from '../../passes/sound/gains';
import { voices } from '../../passes/sound/ladder';
import { apply, type SimpleCommand } from '../../rig';

/** How far the average may stray from the house level before it is worth a word. @unit dB */
export const LEVEL_TOLERANCE_DB = 3;

/** A voice at its converter, against the house level. */
export interface ConverterLevel {
  readonly stage: Stage;
  readonly levelDbfs: number;
  /** Positive: too quiet. @unit dB */
  readonly missingDb: number;
  /** What the gains on the way could still add before a stage loses the house's headroom. @unit dB */
  readonly spareDb: number;
  /** The stage whose ceiling keeps a gain from giving all it could; null where the gains themselves end */
  readonly limit: Stage | null;
  /** Whether it has been digital before, so that what arrives is a mix on its way out */
  readonly isMix: boolean;
  /** Gains on the way, the nearest to the converter first */
  readonly gains: readonly AdjustableGain[];
}

/**
 * What gains could still add to a level. The nearest to the converter is asked first: it is limited
 * by its own range alone, since the house level already spares the converter. One farther on must leave
 * every stage behind it its headroom.
 */
const spareOf = (
  measured: Measured,
  conversion: Stage,
  gains: readonly AdjustableGain[],
  figuresOf: (stage: Stage) => SoundFigures | undefined,
): Pick<ConverterLevel, 'spareDb' | 'limit'> => {
  // The converter's own input moves with its gain, and is judged by the level.
  const between = stagesOf(conversion)
    .filter((stage) => stage !== conversion && stage !== conversion.parent)
    .map((stage) => {
      const figures = figuresOf(stage);
      const headroom = figures ? headroomDb(figures) : null;
      return {
        stage,
        slackDb: headroom === null ? Infinity : headroom - measured.rig.houseRules.headroomDb,
      };
    });
  let spareDb = 0;
  let limit: Stage | null = null;
  for (const { stage, gain } of gains) {
    const from = between.findIndex((item) => item.stage === stage);
    const behind = from < 0 ? [] : between.slice(from);
    const tight = behind.reduce<(typeof between)[number] | undefined>(
      (least, item) => (item.slackDb < (least?.slackDb ?? Infinity) ? item : least),
      undefined,
    );
    const ownDb = gain.maxDb - gain.gainDb;
    const addedDb = Math.max(0, Math.min(ownDb, tight?.slackDb ?? Infinity));
    if (tight && addedDb < ownDb) limit = tight.stage;
    spareDb += addedDb;
    for (const item of behind) item.slackDb -= addedDb;
  }
  return { spareDb, limit };
};

/** Every microphone thread where it becomes digital. */
export const converterLevels = passBySource(
  'converter levels',
  'sound',
  (measured, walk): readonly ConverterLevel[] => {
    const figures = soundOfWalk.of(measured, walk);
    return conversions.of(measured, walk).flatMap((stage) => {
      const here = figures[stage.index - walk.from];
      if (!here || here.levelDb === null) return [];
      const gains = adjustableGains(measured, stage);
      return [
        {
          stage,
          levelDbfs: here.levelDb,
          missingDb: voiceTargetDbfs(measured.rig.houseRules, here) - here.levelDb,
          isMix: wasDigital(stage),
          ...spareOf(measured, stage, gains, (at) => figures[at.index - walk.from]),
          gains,
        },
      ];
    });
  },
);

/** The converter a finding speaks of, found again by its stage. */
export const converterLevelAt = (
  measured: Measured,
  stageIndex: number | undefined,
): ConverterLevel | undefined =>
  converterLevels(measured).find((level) => level.stage.index === stageIndex);

/** Most combinations tried for an edit that is itself only tried. */
const MOST_SETTINGS = 10_000;

/**
 * An edit with every gain of its voice set for it, by the search behind “set it for me”.
 * @param stage the conversion, in the analysis before the edit
 * @returns the edit as it is where the level cannot be told afterwards
 */
export const withGain = (
  measured: Measured,
  stage: Stage,
  commands: SimpleCommand[],
  label: string,
): Fix => {
  const after = measure(apply(measured.rig, { type: 'batch', label, commands }), measured);
  const source = sourceOf(stage).at;
  const set = voices(after)
    .filter((voice) => {
      const { at } = sourceOf(voice);
      return at.device.id === source.device.id && at.id === source.id;
    })
    .slice(0, 1)
    .flatMap((voice) => setWithSharers(after, voice, { most: MOST_SETTINGS }));
  return { label, command: { type: 'batch', label, commands: [...commands, ...set] } };
};
