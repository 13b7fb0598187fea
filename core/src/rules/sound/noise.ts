import { sourceOf, type Stage } from '../../graph';
import type { Measured } from '../../passes/measured';
import { passBySource } from '../../passes/pass';
import { snrAWeightedDb, snrDb, type SoundFigures, soundOfWalk } from '../../passes/sound';
import { conversions } from '../../passes/sound/gains';
import { boosterVerdict, explainSnr } from '../../passes/sound/noise-sums';
import { stageOf } from '../../passes/stages';
import { figure } from '../../passes/sum';
import { atStage } from '../about';
import type { Finding, Rule } from '../rule';
import { ABOUT_DB } from './headroom';
import { setGains } from './set-gains';

/** How far a typical sensitivity or self-noise may be off in a thing nobody has measured. @unit dB */
const SPREAD_DB = 1;

/**
 * Whether only the spread of typical figures decides: the microphone's own have not been typed, or the
 * allowance between dB(A) and unweighted, which no capsule keeps to exactly, makes the difference.
 */
const isWithinSpread = (
  measured: Measured,
  stage: Stage,
  figures: SoundFigures,
  askedDb: number,
): boolean => {
  const short = (ratio: number | null): number => askedDb - (ratio ?? -Infinity);
  return (
    measured.device(sourceOf(stage).at.device).model.stated.length === 0 &&
    (short(snrDb(figures)) <= SPREAD_DB ||
      (figures.noise?.weighting !== 'unweighted' && short(snrAWeightedDb(figures)) <= ABOUT_DB))
  );
};

const aboutEven = (measured: Measured, stage: Stage, snr: number): Finding => {
  const { device } = sourceOf(stage).at;
  const { name } = measured.device(device);
  const asked = figure(measured.rig.houseRules.minimumSnrDb, 0);
  return {
    code: 'sound.noise',
    area: 'sound',
    level: 'note',
    about: atStage(stage, { deviceId: device.id, portId: stage.parent?.at.id }),
    title: `Signal-to-noise ratio about even with ${asked} dB`,
    says:
      `${name} stands ${figure(snr)} dB over the hiss and the house rule asks for ${asked} dB: about even. ` +
      `The figures of ${name} are typical of its class and vary more than that. Type those of its data ` +
      'sheet to know.',
    houseRule: 'minimumSnrDb',
  };
};

export const noise: Rule = {
  code: 'sound.noise',
  area: 'sound',
  together: (count) => `${count} microphones near or under the house ratio`,
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
        !figures ||
        snr === null ||
        snr >= measured.rig.houseRules.minimumSnrDb ||
        sourceOf(stage).at.port.emits?.sound?.type !== 'microphone'
      )
        return [];
      const figuresOf = (at: Stage) => sound[at.index - walk.from];
      const asked = measured.rig.houseRules.minimumSnrDb;
      if (snr >= asked - ABOUT_DB || isWithinSpread(measured, stage, figures, asked))
        return [aboutEven(measured, stage, snr)];
      const verdict = boosterVerdict(measured, stage, figuresOf);
      return [
        {
          code: 'sound.noise',
          area: 'sound',
          level: 'warn',
          about: atStage(stage, {
            deviceId: sourceOf(stage).at.device.id,
            portId: stage.parent?.at.id,
          }),
          title: `Signal-to-noise ratio ${figures.noise?.isAtBest ? 'at best ' : ''}${figure(snr)} dB`,
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
  fixes: setGains,
};
