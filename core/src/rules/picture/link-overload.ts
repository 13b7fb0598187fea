import { nameOf } from '../../passes/names';
import { stoppedRule } from './stopped-rule';

export const linkOverload = stoppedRule(
  'picture.link-overload',
  {
    matters: ['size'],
    looksFor: 'A format that loads a link with more than its ports or its cable carry.',
    why: 'The screen stays black or sparkles; it does not fall back by itself.',
    remedy: 'Set the source to a lighter format, or use ports and a cable of a faster class.',
    source: 'handbook 3-picture: 8.16, 14.4 and 42.67 Gb/s by link class',
  },
  ['port', 'cable'],
  (stage, source, why, measured) => ({
    title: 'The link cannot carry this format',
    says:
      `No picture from ${source} to ${nameOf(measured, stage.at)}: ${why ?? 'the link is too slow'}. Send a ` +
      'lighter format or use a faster link.',
  }),
);
