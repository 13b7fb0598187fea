import { reachRule } from '../reach';

export const pictureReach = reachRule('picture', 'picture.reach', ['picture'], {
  matters: ['size'],
  looksFor: 'A picture cable longer than its kind goes at the load it carries.',
  why: 'Reach shrinks as the load grows: a run that carries 1080p60 fails at 2160p.',
  remedy:
    'Use an active optical cable, convert to SDI for the run, shorten it, or send a lighter format.',
  source: 'handbook 3-picture; SMPTE ST 292, 424, 2081, 2082',
});
