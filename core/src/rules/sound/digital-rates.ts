import type { LinkEdge } from '../../graph';
import { nameOf } from '../../passes/names';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

export const digitalRates = eachSoundRule<LinkEdge>(
  'sound.digital-rates',
  {
    looksFor: 'A digital sound cable whose ends run at different sample rates.',
    why: 'They never lock: silence, or a click every few moments.',
    remedy: 'Set both to one rate and say which of them is the clock’s master.',
    source: 'handbook 2-sound, the chain: digital expansion needs a common clock',
  },
  {
    all: ({ graph }) =>
      [...graph.links.values()].filter(({ from }) => from.port.family === 'digital sound'),
    about: (link) => at({ deviceId: link.from.device.id, portId: link.from.id, linkId: link.id }),
    judge: (link, measured) => {
      const [from, to] = [link.from.port, link.to.port];
      if (
        from.family !== 'digital sound' ||
        to.family !== 'digital sound' ||
        from.rateHz === to.rateHz
      )
        return null;
      return {
        level: 'stop',
        title: `${from.rateHz / 1000} into ${to.rateHz / 1000} kHz`,
        says:
          `${nameOf(measured, link.from)} sends at ${from.rateHz / 1000} kHz and ${nameOf(measured, link.to)} ` +
          `listens at ${to.rateHz / 1000}. They never lock. Set both to one rate, and make one ` +
          'of them the master of the clock.',
      };
    },
  },
);
