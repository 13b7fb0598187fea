import { reachRule } from '../reach';

export const soundReach = reachRule(
  'sound',
  'sound.reach',
  ['analogue', 'digital sound', 'network'],
  {
    looksFor:
      'A sound or network cable longer than its kind goes: balanced 100 m, unbalanced 6 m, ' +
      'optical 10 m, network 100 m.',
    why: 'An unbalanced cable collects hum with every metre; a digital one works perfectly and then not at all.',
    remedy: 'Balance the run, shorten it, or send it another way.',
    source: 'handbook 3-picture, reach defaults',
  },
);
