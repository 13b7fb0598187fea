import type { DeviceNode } from '../../graph';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

/** A battery is changed before it says that it is empty. */
const USABLE = 0.8;

export const batteryShort = eachSoundRule<DeviceNode>(
  'sound.battery',
  {
    looksFor:
      'A wireless transmitter whose battery does not outlast set-up and show with a fifth in hand.',
    why: 'It goes in the middle of a sentence; a cold room and an old cell take the rest.',
    remedy: 'Change batteries at a break that is planned, or use a cable.',
    source: 'handbook 2-sound, wireless links: range and batteries',
  },
  {
    all: ({ graph }) =>
      [...graph.devices.values()].filter(({ model }) => model.battery !== undefined),
    about: ({ id }) => at({ deviceId: id }),
    judge: (node, measured) => {
      const { brief } = measured.rig;
      const lastsMin = node.model.battery?.lastsMin;
      if (lastsMin === undefined || !brief) return null;
      const neededMin = brief.lengthMin + brief.setUpMin;
      return neededMin <= lastsMin * USABLE
        ? null
        : {
            level: 'warn',
            title: `Battery ${figure(lastsMin / 60)} h, needed ${figure(neededMin / 60)} h`,
            says:
              `${measured.device(node).name} runs ${figure(lastsMin / 60)} h on a fresh battery; set-up and show ` +
              `take ${figure(neededMin / 60)} h and a fifth should be in hand. Plan a change, or ` +
              'use a cable.',
          };
    },
    sums: (node, { rig: { brief } }) => [
      {
        label: 'Battery in hand',
        formula: '0.8 × battery − set-up − show',
        inputs: [
          { name: 'battery', value: node.model.battery?.lastsMin ?? 'unknown', unit: 'min' },
          { name: 'set-up', value: brief?.setUpMin ?? 'unknown', unit: 'min' },
          { name: 'show', value: brief?.lengthMin ?? 'unknown', unit: 'min' },
        ],
        result:
          (node.model.battery?.lastsMin ?? 0) * USABLE -
          (brief?.setUpMin ?? 0) -
          (brief?.lengthMin ?? 0),
        unit: 'min',
        source: 'handbook 2-sound',
      },
    ],
  },
);
