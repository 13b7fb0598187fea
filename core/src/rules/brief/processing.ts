import type { Fix } from '../../edits/fix';
import { switchSetting } from '../../rig';
import { houseRule, one } from './house-rule';

export const processingSchool = houseRule(
  'processing',
  'brief.processing',
  {
    looksFor: 'A compressor switched in before the recording where the school is clean.',
    why: 'What is pressed on the way in cannot be taken out again.',
    remedy: 'Switch it out and process later, or choose the other school.',
  },
  (measured) =>
    measured.rig.houseRules.processing === 'on the way in'
      ? []
      : [...measured.graph.devices.values()]
          .filter((node) =>
            Object.values(node.model.routes).some(
              ({ sound }) =>
                sound?.compressor &&
                switchSetting(measured.device(node), sound.compressor.inSwitch),
            ),
          )
          .map((node) =>
            one(
              'note',
              node,
              'Compressed on the way in',
              `${measured.device(node).name} presses the voice before it is recorded; the house ` +
                'rule is clean on the way in.',
            ),
          ),
  {
    fixes: (measured, finding): Fix[] => {
      const node =
        finding.about.deviceId === undefined
          ? undefined
          : measured.graph.devices.get(finding.about.deviceId);
      const control =
        node &&
        Object.values(node.model.routes).find(({ sound }) => sound?.compressor)?.sound?.compressor
          ?.inSwitch;
      return node && control
        ? [
            {
              label: `Switch the compressor of ${measured.device(node).name} out`,
              command: { type: 'setControl', deviceId: node.id, control, value: false },
            },
          ]
        : [];
    },
  },
);
