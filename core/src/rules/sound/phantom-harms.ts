import { nameOf } from '../../passes/names';
import { phantomAt } from '../../passes/sound';
import { at } from '../about';
import type { Rule } from '../rule';
import { phantomOutputs, switchOff } from './phantom';

export const phantomHarms: Rule = {
  code: 'sound.phantom-harms',
  area: 'sound',
  looksFor: 'A ribbon microphone on an input with phantom power on.',
  why: 'Phantom power does nothing for a passive ribbon, and through a faulty or unbalanced cable it can tear it.',
  remedy: 'Switch phantom power off at that input before plugging the microphone.',
  source: 'handbook 2-sound, phantom',
  find: (measured) =>
    phantomOutputs(measured, 'harmed').flatMap((node) => {
      const phantom = phantomAt(measured, node);
      if (phantom.state !== 'on') return [];
      return [
        {
          code: 'sound.phantom-harms',
          area: 'sound',
          level: 'stop',
          about: at({ deviceId: node.device.id, portId: node.id, linkId: node.links[0]?.id }),
          title: 'Phantom power on a ribbon',
          says:
            `Phantom power is on at ${nameOf(measured, phantom.supply)} and can damage ` +
            `${measured.device(node.device).name}. Switch it off before you plug the microphone.`,
        },
      ];
    }),
  fixes: (measured, finding) => {
    const node = phantomOutputs(measured, 'harmed').find(
      (candidate) => candidate.device.id === finding.about.deviceId,
    );
    const phantom = node && phantomAt(measured, node);
    return phantom?.state === 'on'
      ? [
          {
            label: `Switch phantom power off at ${nameOf(measured, phantom.supply)}`,
            command: switchOff(phantom.supply.device.id, phantom.control),
          },
        ]
      : [];
  },
};
