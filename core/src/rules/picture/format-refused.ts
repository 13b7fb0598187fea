import { nameOf } from '../../passes/names';
import { stoppedRule } from './stopped-rule';

export const formatRefused = stoppedRule(
  'picture.format-refused',
  {
    matters: ['size'],
    looksFor:
      'An input that does not take the format it is sent, or a switcher without a scaler that runs at another one.',
    why: 'The input shows nothing at all.',
    remedy: 'Set the source to a format the input takes, or put a scan converter between.',
    source: 'handbook 3-picture, formats and how they travel',
  },
  ['input', 'no scaler'],
  (stage, source, why, measured) => ({
    title: 'Format not taken',
    says:
      `No picture from ${source}: ${why ?? `${nameOf(measured, stage.at)} does not take it`}. ` +
      'Set the source to a format it takes, or put a scaler between.',
  }),
);
