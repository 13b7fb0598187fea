import { inlinePad } from '../../edits/pad';
import { sourceOf } from '../../graph';
import { stageOf } from '../../passes/stages';
import { figure } from '../../passes/sum';
import type { Rule } from '../rule';
import { ABOUT_DB, aboutTight, easeStage, headroomSums, limitWords, tightest } from './headroom';

export const clips: Rule = {
  code: 'sound.clips',
  area: 'sound',
  looksFor: 'A stage whose ceiling the peaks of a voice pass.',
  why: 'Clipping is heard as a crackle on every loud word and cannot be taken out again.',
  remedy: 'Lower the gain before that stage, switch a pad in, or move the microphone away.',
  source: 'handbook 2-sound, setting the gains',
  find: (measured) =>
    tightest(measured)
      .filter(({ headroom }) => headroom < -ABOUT_DB)
      .map((tight) => ({
        code: 'sound.clips',
        area: 'sound',
        level: 'stop',
        about: aboutTight(tight),
        title: `Clips by ${figure(-tight.headroom)} dB`,
        says:
          `The peaks of ${measured.device(sourceOf(tight.stage).at.device).name} pass ` +
          `${limitWords(measured, tight)} by ${figure(-tight.headroom)} dB. Loud words will crackle. ` +
          'Lower the gain, switch a pad in, or move the microphone away.',
        houseRule: 'headroomDb',
      })),
  sums: headroomSums,
  fixes: (measured, finding) => {
    const { via } = stageOf(measured, finding.about.stage) ?? {};
    return [
      ...easeStage(measured, finding),
      ...(via?.by === 'link'
        ? inlinePad(measured, via.link).map((fix) => ({ ...fix, isLast: true as const }))
        : []),
    ];
  },
};
