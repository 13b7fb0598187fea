import { nameOf } from '../../passes/names';
import { phantomAt } from '../../passes/sound';
import { at } from '../about';
import type { Rule } from '../rule';
import { phantomOutputs, switchOn } from './phantom';

export const phantomMissing: Rule = {
  code: 'sound.phantom-missing',
  area: 'sound',
  looksFor: 'A condenser, booster or active direct box whose input gives it no phantom power.',
  why: 'Without its 48 V it gives no sound at all.',
  remedy: 'Switch phantom power on at the input, or use an input that has it.',
  source: 'IEC 61938; handbook 2-sound, phantom',
  find: (measured) =>
    phantomOutputs(measured, 'needs').flatMap((node) => {
      const phantom = phantomAt(measured, node);
      if (phantom.state !== 'off' && phantom.state !== 'none') return [];
      const { name } = measured.device(node.device);
      const input = phantom.state === 'off' ? phantom.supply : phantom.at;
      return [
        {
          code: 'sound.phantom-missing',
          area: 'sound',
          level: 'stop',
          about: at({ deviceId: node.device.id, portId: node.id, linkId: node.links[0]?.id }),
          title: 'No phantom power',
          says:
            phantom.state === 'off'
              ? `${name} gives no sound: it needs phantom power and ${nameOf(measured, input)} has it ` +
                'switched off. Switch it on.'
              : `${name} gives no sound: it needs phantom power and ${nameOf(measured, input)} has none to ` +
                'give. Use an input that has it.',
        },
      ];
    }),
  fixes: (measured, finding) => {
    const node = phantomOutputs(measured, 'needs').find(
      (candidate) =>
        candidate.device.id === finding.about.deviceId && candidate.id === finding.about.portId,
    );
    const phantom = node && phantomAt(measured, node);
    if (phantom?.state !== 'off') return [];
    return [
      {
        label: `Switch phantom power on at ${nameOf(measured, phantom.supply)}`,
        command: switchOn(phantom.supply.device.id, phantom.control),
      },
    ];
  },
};
