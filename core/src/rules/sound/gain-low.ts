import type { Fix } from '../../edits/fix';
import { sourceOf } from '../../graph';
import { nameOf } from '../../passes/names';
import type { Measured } from '../../passes/measured';
import { passBySource } from '../../passes/pass';
import { steppedGain } from '../../passes/sound/gains';
import { explainGainNeeded, explainLevel } from '../../passes/sound/sums';
import { stageOf } from '../../passes/stages';
import { figure } from '../../passes/sum';
import type { SimpleCommand } from '../../rig';
import { atStage } from '../about';
import { setGains } from './set-gains';
import type { Finding, Rule } from '../rule';
import { batchFix } from '../rule-of';
import {
  type ConverterLevel,
  converterLevelAt,
  converterLevels,
  LEVEL_TOLERANCE_DB,
} from './level';

/** A mix that becomes digital a second time may stand lower: only its loudness at the end counts. @unit dB */
const MIX_TOLERANCE_DB = 12;

/** In a mix only microphones are judged one by one: a caller or a player may stand as low as it likes. */
const isJudged = ({ isMix, stage }: ConverterLevel): boolean =>
  !isMix || sourceOf(stage).at.port.emits?.sound?.type === 'microphone';

/** Whether it is too quiet, and the gains on its way could still be turned up. */
const isLow = (level: ConverterLevel): boolean =>
  isJudged(level) &&
  level.missingDb > (level.isMix ? MIX_TOLERANCE_DB : LEVEL_TOLERANCE_DB) &&
  level.missingDb - level.spareDb < 1 &&
  level.gains.length > 0;

/** The gains of a mix turned up, the nearest to its converter first, until what is missing is made up. */
const turnUp = (measured: Measured, { stage, missingDb, gains }: ConverterLevel): Fix[] => {
  let missing = missingDb;
  const commands = gains.flatMap(({ stage: at, gain, control }): SimpleCommand[] => {
    const value = steppedGain(gain.gainDb + missing, gain);
    if (value === gain.gainDb) return [];
    missing -= value - gain.gainDb;
    return [{ type: 'setControl', deviceId: at.at.device.id, control, value }];
  });
  return commands.length > 0
    ? [
        batchFix(
          `Bring the mix up for ${measured.device(sourceOf(stage).at.device).name}`,
          commands,
        ),
      ]
    : [];
};

export const gainLow: Rule = {
  code: 'sound.gain-low',
  area: 'sound',
  together: (count) => `${count} voices stand under the house level`,
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
  fixes: (measured, finding) => {
    const level = converterLevelAt(measured, finding.about.stage);
    return level?.isMix ? turnUp(measured, level) : setGains(measured, finding);
  },
};
