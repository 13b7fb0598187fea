import { sourceOf } from '../../graph';
import { figure } from '../../passes/sum';
import type { Rule } from '../rule';
import { ABOUT_DB, aboutTight, easeStage, headroomSums, limitWords, tightest } from './headroom';

export const headroomThin: Rule = {
  code: 'sound.headroom-thin',
  area: 'sound',
  looksFor: 'A stage with less headroom than the house rule asks for.',
  why: 'People are louder in the show than in the test.',
  remedy: 'Lower the gain before that stage.',
  source: 'handbook 2-sound, setting the gains',
  find: (measured) =>
    tightest(measured)
      .filter(({ headroom, asked }) => headroom >= -ABOUT_DB && headroom < asked - ABOUT_DB)
      .map((tight) => ({
        code: 'sound.headroom-thin',
        area: 'sound',
        level: 'warn',
        about: aboutTight(tight),
        title: `${figure(Math.max(0, tight.headroom))} dB of headroom`,
        says:
          `${measured.device(sourceOf(tight.stage).at.device).name} peaks ` +
          `${figure(Math.max(0, tight.headroom))} dB under ${limitWords(measured, tight)}; ` +
          (tight.asked < measured.rig.houseRules.headroomDb
            ? 'a mix on its way out needs '
            : 'the house rule asks for ') +
          `${figure(tight.asked, 0)} dB. Lower the gain.`,
        houseRule: 'headroomDb',
      })),
  sums: headroomSums,
  fixes: easeStage,
};
