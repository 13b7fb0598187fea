import { sourceOf } from '../../graph';
import { passBySource } from '../../passes/pass';
import { snrDb, soundOfWalk } from '../../passes/sound';
import { conversions } from '../../passes/sound/gains';
import { boosterVerdict, explainSnr } from '../../passes/sound/noise-sums';
import { stageOf } from '../../passes/stages';
import { figure } from '../../passes/sum';
import { atStage } from '../about';
import type { Finding, Rule } from '../rule';

export const noise: Rule = {
  code: 'sound.noise',
  area: 'sound',
  looksFor: 'A microphone whose signal-to-noise ratio at the converter is under the house rule.',
  why: 'Hiss is heard in every pause, and a compressor later brings it up.',
  remedy:
    'Move the microphone closer, use a more sensitive one, or a quieter preamp where the preamp makes the noise.',
  source: 'handbook 2-sound, worked A to C',
  find: passBySource('sound.noise', 'sound', (measured, walk): Finding[] => {
    const sound = soundOfWalk.of(measured, walk);
    return conversions.of(measured, walk).flatMap((stage) => {
      const figures = sound[stage.index - walk.from];
      const snr = figures ? snrDb(figures) : null;
      if (
        snr === null ||
        snr >= measured.rig.houseRules.minimumSnrDb ||
        sourceOf(stage).at.port.emits?.sound?.type !== 'microphone'
      )
        return [];
      const verdict = boosterVerdict(measured, stage, (at) => sound[at.index - walk.from]);
      return [
        {
          code: 'sound.noise',
          area: 'sound',
          level: 'warn',
          about: atStage(stage, {
            deviceId: sourceOf(stage).at.device.id,
            portId: stage.parent?.at.id,
          }),
          title: `Signal-to-noise ratio ${figure(snr)} dB`,
          says:
            `${measured.device(sourceOf(stage).at.device).name} stands only ${figure(snr)} dB over the ` +
            `hiss; the house rule asks for ${figure(measured.rig.houseRules.minimumSnrDb, 0)} dB. ` +
            (verdict ?? 'Move the microphone closer or use a more sensitive one.'),
          houseRule: 'minimumSnrDb',
        },
      ];
    });
  }),
  sums: (measured, { about }) => {
    const stage = stageOf(measured, about.stage);
    return stage ? explainSnr(measured, stage) : [];
  },
};
