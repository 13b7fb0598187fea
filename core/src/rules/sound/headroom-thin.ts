import { sourceOf } from '../../graph';
import { nameOf } from '../../passes/names';
import { figure } from '../../passes/sum';
import type { Rule } from '../rule';
import { aboutTight, headroomSums, lowerGain, tightest } from './headroom';

export const headroomThin: Rule = {
  code: 'sound.headroom-thin',
  area: 'sound',
  looksFor: 'A stage with less headroom than the house rule asks for.',
  why: 'People are louder in the show than in the test.',
  remedy: 'Lower the gain before that stage.',
  source: 'handbook 2-sound, setting the gains',
  find: (measured) =>
    tightest(measured)
      .filter(({ headroom }) => headroom >= 0 && headroom < measured.rig.houseRules.headroomDb)
      .map((tight) => ({
        code: 'sound.headroom-thin',
        area: 'sound',
        level: 'warn',
        about: aboutTight(tight),
        title: `${figure(tight.headroom)} dB of headroom`,
        says:
          `${measured.device(sourceOf(tight.stage).at.device).name} peaks ${figure(tight.headroom)} dB ` +
          `under the ceiling of ${nameOf(measured, tight.stage.at)}; the house rule asks for ` +
          `${figure(measured.rig.houseRules.headroomDb, 0)} dB. Lower the gain.`,
        houseRule: 'headroomDb',
      })),
  sums: headroomSums,
  fixes: lowerGain,
};
