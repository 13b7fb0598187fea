import { mixes, type Mix, mixSnrDb } from '../../passes/processing/mixes';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

/** Typical figures are no closer than this: nearer to the rule, a mix is about even with it. @unit dB */
const SPREAD_DB = 1;

/** The ratio of the worst microphone alone. @unit dB */
const leastAloneDb = ({ open }: Mix): number =>
  Math.min(...open.map(({ levelDb, noise }) => levelDb - (noise?.unweightedDb ?? -Infinity)));

export const mixNoise = eachSoundRule<Mix>(
  'sound.mix-noise',
  {
    looksFor:
      'A mix whose open microphones together hiss more than the house rule allows, though each alone does not.',
    why: 'The hiss of every open microphone adds up: 3 dB for two, 6 for four, 12 for sixteen.',
    remedy: 'Close what nobody speaks into: gates, an automatic mixer, or a hand on the faders.',
    source: 'handbook 2-sound, sums: 10·log10 N',
  },
  {
    all: mixes,
    about: ({ end }) => at({ deviceId: end.id }),
    houseRule: 'minimumSnrDb',
    judge: (mix, measured) => {
      const ratio = mixSnrDb(mix);
      const asked = measured.rig.houseRules.minimumSnrDb;
      if (ratio === null || ratio >= asked - SPREAD_DB || leastAloneDb(mix) < asked) return null;
      return {
        level: 'warn',
        title: `${mix.open.length} open microphones: ${figure(ratio)} dB over the hiss`,
        says:
          `With ${mix.open.length} microphones open, ${measured.device(mix.end).name} stands ` +
          `${figure(ratio)} dB over their hiss; each alone has at least ${figure(leastAloneDb(mix))} dB, ` +
          `and the house rule asks for ${figure(asked, 0)}. Close what nobody speaks into.`,
      };
    },
    sums: (mix) => [
      {
        label: 'Signal-to-noise ratio of the mix',
        formula: 'mean power of the voices − Σ powers of the noises',
        inputs: [
          { name: 'microphones', value: mix.open.length, unit: '' },
          { name: 'the least of them alone', value: leastAloneDb(mix), unit: 'dB' },
        ],
        result: mixSnrDb(mix),
        unit: 'dB',
        source: 'handbook 2-sound, sums',
      },
    ],
  },
);
