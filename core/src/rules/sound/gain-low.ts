import { sourceOf } from '../../graph';
import { nameOf } from '../../passes/names';
import { passBySource } from '../../passes/pass';
import { explainGainNeeded, explainLevel } from '../../passes/sound/sums';
import { stageOf } from '../../passes/stages';
import { figure } from '../../passes/sum';
import { atStage } from '../about';
import { setGains } from './set-gains';
import type { Finding, Rule } from '../rule';
import { type ConverterLevel, converterLevels, LEVEL_TOLERANCE_DB } from './level';

/** Whether it is too quiet, and the gains on its way could still be turned up. */
const isLow = (level: ConverterLevel): boolean =>
  level.missingDb > LEVEL_TOLERANCE_DB &&
  level.missingDb - level.spareDb < 1 &&
  level.gains.length > 0;

export const gainLow: Rule = {
  code: 'sound.gain-low',
  area: 'sound',
  looksFor:
    'A microphone recorded more than 3 dB under the house level although its gains could still be turned up.',
  why: 'A quiet recording is raised later together with its noise.',
  remedy: 'Set the gain the sum asks for.',
  source: 'handbook 2-sound, setting the gains',
  find: passBySource('sound.gain-low', 'sound', (measured, walk) =>
    converterLevels
      .of(measured, walk)
      .filter(isLow)
      .map((level): Finding => ({
        code: 'sound.gain-low',
        area: 'sound',
        level: 'warn',
        about: atStage(level.stage, {
          deviceId: level.stage.at.device.id,
          portId: level.stage.parent?.at.id,
        }),
        title: `${figure(level.missingDb)} dB under the house level`,
        says:
          `${measured.device(sourceOf(level.stage).at.device).name} is recorded at ` +
          `${figure(level.levelDbfs)} dBFS, ${figure(level.missingDb)} dB under the house ` +
          `level, and ${nameOf(measured, level.stage.parent?.at ?? level.stage.at)} has gain to spare. ` +
          'Turn it up.',
        houseRule: 'recordingLevel',
      })),
  ),
  sums: (measured, { about }) => {
    const stage = stageOf(measured, about.stage);
    return stage ? [...explainGainNeeded(measured, stage), ...explainLevel(measured, stage)] : [];
  },
  fixes: setGains,
};
