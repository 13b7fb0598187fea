import { nameOf } from '../../passes/names';
import { type ChannelLoad, channelLoads } from '../../passes/sound/channels';
import { at } from '../about';
import type { Measured } from '../../passes/measured';
import { eachSoundRule } from '../rule-of';

const namesOf = (measured: Measured, sources: ChannelLoad['sources']): string =>
  sources.map(({ device }) => measured.device(device).name).join(', ');

export const channelsShort = eachSoundRule<ChannelLoad>(
  'sound.channels-short',
  {
    looksFor: 'A digital or network cable with more sound channels on it than its ends carry.',
    why:
      'Optical carries eight channels at 48 kHz, a personal mixer or desk as many as it was ' +
      'built for; the rest is not heard.',
    remedy: 'Send some by another way, or use a larger box.',
    source: 'handbook 2-sound, the chain: digital expansion',
  },
  {
    all: channelLoads,
    about: ({ link, to }) => at({ deviceId: to.device.id, portId: to.id, linkId: link.id }),
    judge: ({ from, to, sources, most, by }, measured) =>
      most === null || sources.length <= most
        ? null
        : {
            level: 'stop',
            title: `${sources.length} channels, ${most} fit`,
            says:
              `${sources.length} sounds go from ${nameOf(measured, from)} to ${nameOf(measured, to)}, and ` +
              `${nameOf(measured, by)} carries ${most}. ` +
              `${namesOf(measured, sources.slice(most))} will not arrive.`,
          },
    sums: ({ sources, most }) => [
      {
        label: 'Channels left over',
        formula: 'channels it carries − sounds on it',
        inputs: [
          { name: 'carries', value: most ?? 'not limited', unit: '' },
          { name: 'sounds', value: sources.length, unit: '' },
        ],
        result: most === null ? null : most - sources.length,
        unit: '',
        source: 'the ports’ own figures',
      },
    ],
  },
);
