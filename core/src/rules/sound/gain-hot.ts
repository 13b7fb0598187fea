import { sourceOf } from '../../graph';
import { explainGainNeeded, explainHeadroom, explainLevel } from '../../passes/sound/sums';
import { stageOf } from '../../passes/stages';
import { figure } from '../../passes/sum';
import { atStage } from '../about';
import type { Rule } from '../rule';
import { converterLevels, LEVEL_TOLERANCE_DB } from './level';
import { setGains } from './set-gains';

export const gainHot: Rule = {
  code: 'sound.gain-hot',
  area: 'sound',
  together: (count) => `${count} voices stand over the house level`,
  looksFor: 'A microphone recorded more than 3 dB over the house level.',
  why: 'The next laugh reaches the ceiling, and a clipped recording cannot be mended.',
  remedy: 'Turn the gain down to what the sum asks for.',
  source: 'handbook 2-sound, setting the gains',
  find: (measured) =>
    converterLevels(measured)
      // A mix on its way out has a loudness to meet, and its peaks are judged where they clip.
      .filter((level) => !level.isMix && level.missingDb < -LEVEL_TOLERANCE_DB)
      .map((level) => ({
        code: 'sound.gain-hot',
        area: 'sound',
        level: 'warn',
        about: atStage(level.stage, {
          deviceId: level.stage.at.device.id,
          portId: level.stage.parent?.at.id,
        }),
        title: `${figure(-level.missingDb)} dB over the house level`,
        says:
          `${measured.device(sourceOf(level.stage).at.device).name} is recorded at ` +
          `${figure(level.levelDbfs)} dBFS, ${figure(-level.missingDb)} dB over the house ` +
          'level. A laugh will clip. Turn the gain down.',
        houseRule: 'recordingLevel',
      })),
  sums: (measured, { about }) => {
    const stage = stageOf(measured, about.stage);
    return stage
      ? [
          ...explainGainNeeded(measured, stage),
          ...explainHeadroom(measured, stage),
          ...explainLevel(measured, stage),
        ]
      : [];
  },
  fixes: setGains,
};
