import { sourceOf } from '../../graph';
import { peakDb } from '../../passes/sound';
import { explainGainNeeded, explainHeadroom } from '../../passes/sound/sums';
import { figure } from '../../passes/sum';
import { levelTarget } from '../../rig';
import { atStage } from '../about';
import { eachSoundRule } from '../rule-of';
import { ABOUT_DB } from './headroom';
import { type ConverterLevel, converterLevels, LEVEL_TOLERANCE_DB } from './level';
import { setGains } from './set-gains';

export const peaksHigh = eachSoundRule<ConverterLevel>(
  'sound.peaks-high',
  {
    together: (count) => `Peaks of ${count} voices are too high`,
    looksFor: 'A voice whose average is right and whose peaks pass the level of the house school.',
    why: 'The school is a pair: an average to be heard by, and peaks that leave room for a laugh.',
    remedy: 'Turn the gain down until the peaks stay under it; the average may be lower then.',
    source: 'handbook 2-sound, setting the gains: the house target is a pair',
  },
  {
    all: (measured) => converterLevels(measured).filter(({ isMix }) => !isMix),
    about: ({ stage }) =>
      atStage(stage, { deviceId: stage.at.device.id, portId: stage.parent?.at.id }),
    houseRule: 'recordingLevel',
    judge: ({ stage, missingDb }, measured) => {
      const figures = measured.sound[stage.index];
      const peak = figures ? peakDb(figures) : null;
      const { peakDbfs } = levelTarget(measured.rig.houseRules);
      // Farther over, the whole voice is too hot, and that is said.
      if (peak === null || peak <= peakDbfs + ABOUT_DB || missingDb < -LEVEL_TOLERANCE_DB)
        return null;
      return {
        level: 'note',
        title: `Peaks at ${figure(peak)} dBFS`,
        says:
          `${measured.device(sourceOf(stage).at.device).name} peaks at ${figure(peak)} dBFS; the school of this ` +
          `house keeps peaks under ${figure(peakDbfs, 0)}. Turn the gain down by ${figure(peak - peakDbfs)} dB.`,
      };
    },
    sums: ({ stage }, measured) => [
      ...explainHeadroom(measured, stage),
      ...explainGainNeeded(measured, stage),
    ],
    fixes: ({ stage }, measured) => setGains(measured, { about: atStage(stage, { deviceId: '' }) }),
  },
);
